import { lookoutHits } from '#server/places/prices/lookouts'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/prices/lookouts', async ({ db, params, today }) =>
  lookoutHits(db, today, params.id),
)
