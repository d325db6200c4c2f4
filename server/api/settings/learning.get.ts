import { learningView } from '#server/places/settings/learning'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/settings/learning', async ({ db }) => learningView(db))
