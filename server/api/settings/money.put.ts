import { readSettings } from '#server/context/settings'
import { setMoney } from '#server/places/settings/settings'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/settings/money', async ({ db, body, today }) => {
  await setMoney(db, body, today)
  return readSettings(db)
})
