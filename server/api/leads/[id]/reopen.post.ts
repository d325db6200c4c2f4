import { reopen } from '#server/places/leads/leadSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/reopen', async ({ db, params, body, today }) => {
  await reopen(db, params.id, body, today)
  return { done: true as const }
})
