import { removeRate } from '#server/places/settings/rates'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/settings/rates', async ({ db, body, today }) =>
  removeRate(db, body, today),
)
