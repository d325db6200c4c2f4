import { weighingSchema } from '#shared/scales/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { saveWeighing } from '#server/places/scales/scalesSettings'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await saveWeighing(db, id, await bodyOf(event, weighingSchema))
  return buildView(db, id, today())
})
