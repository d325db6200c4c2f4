import { pass } from '#server/places/leads/leadSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/pass', async ({ db, params, body, today }) => {
  await pass(db, params.id, body, today)
  return { done: true as const }
})
