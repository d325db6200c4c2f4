import { readSettings } from '#server/context/settings'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/settings', async ({ db }) => readSettings(db))
