import { readSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { keepRead } from '~~/server/services/prices/notes'
import { priceView } from '~~/server/services/prices/priceViews'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const [build, part] = [getRouterParam(event, 'id')!, getRouterParam(event, 'part')!]
  await keepRead(db, build, part, await bodyOf(event, readSchema), today())
  return priceView(db, build, part, today())
})
