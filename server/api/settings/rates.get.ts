import { readRates } from '#server/places/settings/rates'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/settings/rates', async ({ db }) => readRates(db))
