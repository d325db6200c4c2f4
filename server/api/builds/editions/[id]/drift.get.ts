import { defineCall } from '#server/http/defineCall'
import { driftBetween } from '#server/places/builds/editions'

/** What has changed from this edition to another. */
export default defineCall('GET /api/builds/editions/:id/drift', async ({ db, params, query }) =>
  driftBetween(db, params.id, query.to),
)
