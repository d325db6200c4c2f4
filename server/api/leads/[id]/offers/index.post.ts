import { noteOffer } from '#server/places/leads/haggle'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/offers', async ({ db, params, body, today }) => ({
  id: await noteOffer(db, params.id, body, today),
}))
