import { haggleView } from '#server/places/leads/haggle'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/leads/:lead/haggle', async ({ db, params, today }) =>
  haggleView(db, params.id, params.lead, today),
)
