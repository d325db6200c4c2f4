import { patchLead } from '#server/places/leads/patchLead'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/leads/:id', async ({ db, params, body, today, now }) => {
  await patchLead(db, params.id, body, today, now)
  return { done: true as const }
})
