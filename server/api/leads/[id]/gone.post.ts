import { gone } from '#server/places/leads/leadSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/gone', async ({ db, params, body, today }) => {
  await gone(db, params.id, body, today)
  return { done: true as const }
})
