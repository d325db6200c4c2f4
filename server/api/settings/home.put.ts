import { readSettings } from '#server/context/settings'
import { setHomeCurrency } from '#server/places/settings/settings'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/settings/home', async ({ db, body }) => {
  await setHomeCurrency(db, body.currency)
  return readSettings(db)
})
