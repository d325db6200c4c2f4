import { createTrip } from '#server/places/ledger/trips'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/trips', async ({ db, params, body }) => ({
  id: await createTrip(db, params.id, body),
}))
