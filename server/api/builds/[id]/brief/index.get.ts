import { briefOf } from '#server/places/brief/brief'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/brief', async ({ db, params }) => briefOf(db, params.id))
