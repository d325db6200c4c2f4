import { capView } from '#server/places/brief/readCap'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/brief/cap', async ({ db, params, today }) =>
  capView(db, params.id, today),
)
