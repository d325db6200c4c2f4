import { newOrUsedSheet } from '#server/places/prices/readNewOrUsed'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/prices/new-or-used', async ({ db, params, today }) =>
  newOrUsedSheet(db, params.id, today),
)
