import { setLookout } from '#server/places/prices/lookouts'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/prices/lookouts', async ({ db, params, body, today }) => ({
  id: await setLookout(db, params.id, body, today),
}))
