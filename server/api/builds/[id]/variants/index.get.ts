import { variantsView } from '#server/places/builds/variants'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/variants', async ({ db, params, today }) =>
  variantsView(db, params.id, today),
)
