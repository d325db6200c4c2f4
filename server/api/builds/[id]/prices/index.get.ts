import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { priceBriefs } from '#server/places/prices/readPrices'

export default pageRoute(async (event) =>
  priceBriefs(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
