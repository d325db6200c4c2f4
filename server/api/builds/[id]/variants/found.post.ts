import { openAsVariant } from '#server/places/scales/match'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/variants/found', async ({ db, params, body, today }) => ({
  id: await openAsVariant(db, params.id, body, today),
}))
