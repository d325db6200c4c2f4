import { editionsView } from '#server/places/builds/editions'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/editions', async ({ db, params, today }) =>
  editionsView(db, params.id, today),
)
