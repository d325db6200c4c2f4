import type { PartQuery } from '#core/market/queryForPart'
import { querySchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { setQuery } from '~~/server/services/market'
import { priceView } from '~~/server/services/prices/priceViews'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const part = getRouterParam(event, 'part')!
  await setQuery(db, part, (await bodyOf(event, querySchema)) as PartQuery)
  return priceView(db, getRouterParam(event, 'id')!, part, today())
})
