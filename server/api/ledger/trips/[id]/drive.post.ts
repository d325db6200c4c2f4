import { driveTrip } from '#server/places/ledger/trips'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/ledger/trips/:id/drive', async ({ db, params, body, today }) => ({
  build: await driveTrip(db, params.id, body, today),
}))
