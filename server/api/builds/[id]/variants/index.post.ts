import { createVariant } from '#server/places/builds/variants'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/variants', async ({ db, params, body, today }) => ({
  id: await createVariant(db, params.id, body.name, today),
}))
