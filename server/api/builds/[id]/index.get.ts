import { buildView } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id', async ({ db, params, today }) =>
  buildView(db, params.id, today),
)
