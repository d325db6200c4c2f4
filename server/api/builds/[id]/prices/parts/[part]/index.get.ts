import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { priceView } from '#server/places/prices/readPrices'

export default jsonRoute(async (event) =>
  priceView(await useDatabase(), getRouterParam(event, 'id')!, getRouterParam(event, 'part')!, today()),
)
