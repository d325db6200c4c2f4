import { openLead } from '#server/places/leads/readLeads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/leads/:lead', async ({ db, params, today }) =>
  openLead(db, params.id, params.lead, today),
)
