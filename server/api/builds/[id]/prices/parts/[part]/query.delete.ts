import { useDatabase } from '~~/server/db/useDatabase'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { setQuery } from '~~/server/services/market'
import { priceView } from '~~/server/services/prices/priceViews'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const part = getRouterParam(event, 'part')!
  await setQuery(db, part, null)
  return priceView(db, getRouterParam(event, 'id')!, part, today())
})
