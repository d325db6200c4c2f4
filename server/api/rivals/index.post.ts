import { createRival } from '#server/places/rivals/rivals'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/rivals', async ({ db, body }) => createRival(db, body))
