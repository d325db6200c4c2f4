import { rivalOf } from '#server/places/rivals/rivals'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/rivals/:id', async ({ db, params }) => rivalOf(db, params.id))
