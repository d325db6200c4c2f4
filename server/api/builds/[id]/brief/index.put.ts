import { briefSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { saveBrief } from '#server/places/builds/builds'
import { buildView } from '#server/context/readBuild'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await saveBrief(db, id, await bodyOf(event, briefSchema), today())
  return buildView(db, id, today())
})
