import { readSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { keepRead } from '#server/places/prices/notes'
import { priceView } from '#server/places/prices/readPrices'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const [build, part] = [getRouterParam(event, 'id')!, getRouterParam(event, 'part')!]
  await keepRead(db, build, part, await bodyOf(event, readSchema), today())
  return priceView(db, build, part, today())
})
