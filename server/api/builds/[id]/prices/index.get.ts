import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { priceBriefs } from '#server/places/prices/readPrices'

export default jsonRoute(async (event) =>
  priceBriefs(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
