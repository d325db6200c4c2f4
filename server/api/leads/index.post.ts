import { createLead } from '#server/places/leads/leads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads', async ({ db, body }) => ({
  id: await createLead(db, body),
}))
