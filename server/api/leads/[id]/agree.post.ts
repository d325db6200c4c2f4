import { agree } from '#server/places/leads/leadSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/agree', async ({ db, params, body, today }) => {
  await agree(db, params.id, body, today)
  return { done: true as const }
})
