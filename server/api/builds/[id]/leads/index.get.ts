import { leadViews } from '#server/places/leads/readLeads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/leads', async ({ db, params, query, today }) =>
  leadViews(db, params.id, today, query),
)
