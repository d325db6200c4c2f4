import { briefSchema } from '#shared/brief/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { refuseStale, tellTag } from '#server/http/stale'
import { today } from '#server/http/today'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { buildView } from '#server/places/builds/buildView'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  refuseStale(event, 'the brief', await briefOf(db, id))
  await saveBrief(db, id, await bodyOf(event, briefSchema), today())
  tellTag(event, await briefOf(db, id))
  return buildView(db, id, today())
})
