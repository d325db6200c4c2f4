import { planOnReceipt } from '#server/places/plan/takePlan'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/plan/price', async ({ db, params, body, today }) => {
  const { ways, sold } = body
  return planOnReceipt(db, params.id, ways, sold, today)
})
