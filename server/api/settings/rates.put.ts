import { setRate } from '#server/places/settings/rates'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/settings/rates', async ({ db, body, today }) => setRate(db, body, today))
