import { takePlan } from '#server/places/plan/takePlan'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/plan/take', async ({ db, params, body, today }) =>
  takePlan(db, params.id, body, today),
)
