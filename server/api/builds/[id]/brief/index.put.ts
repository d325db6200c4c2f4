import { briefSchema } from '#shared/brief/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { saveBrief } from '#server/places/brief/brief'
import { buildView } from '#server/places/builds/buildView'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await saveBrief(db, id, await bodyOf(event, briefSchema), today())
  return buildView(db, id, today())
})
