import { buildAfter } from '#server/places/builds/buildView'
import { undoPlan } from '#server/places/plan/takePlan'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/plan/undo', async ({ db, params, body, today }) => {
  await undoPlan(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
