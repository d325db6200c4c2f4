import { planUndoSchema } from '#shared/plan/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { undoPlan } from '#server/places/plan/takePlan'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await undoPlan(db, id, await bodyOf(event, planUndoSchema), today())
  return buildView(db, id, today())
})
