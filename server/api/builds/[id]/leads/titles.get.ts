import { leadTitles } from '#server/places/leads/readLeads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/leads/titles', async ({ db, params }) =>
  leadTitles(db, params.id),
)
