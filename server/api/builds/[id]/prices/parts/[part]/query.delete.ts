import { useDatabase } from '#server/db/useDatabase'
import { buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setQuery } from '#server/context/market'
import { priceView } from '#server/places/prices/readPrices'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const part = getRouterParam(event, 'part')!
  await setQuery(db, part, null)
  return priceView(db, getRouterParam(event, 'id')!, part, today())
})
