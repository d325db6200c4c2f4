import { refuseStale } from '#server/http/stale'
import { leadInput, updateLead } from '#server/places/leads/leads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/leads/:id', async ({ db, params, body, today, event }) => {
  const lead = body
  refuseStale(event, 'the lead', await leadInput(db, params.id))
  await updateLead(db, params.id, lead, today)
  return { id: params.id }
})
