import { planOnReceipt } from '#server/places/plan/takePlan'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'

export default defineCall('POST /api/builds/:id/plan/price', async ({ db, params, body, today }) =>
  planOnReceipt(await useWorld(db), params.id, body, today),
)
