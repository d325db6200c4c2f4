import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { priceView } from '#server/places/prices/readPrices'

export default pageRoute(async (event) =>
  priceView(await useDatabase(), getRouterParam(event, 'id')!, getRouterParam(event, 'part')!, today()),
)
