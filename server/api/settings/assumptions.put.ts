import { readSettings } from '#server/context/settings'
import { setAssumption } from '#server/places/settings/settings'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/settings/assumptions', async ({ db, body }) => {
  const { key, value } = body
  await setAssumption(db, key, value)
  return readSettings(db)
})
