import { createBuild } from '#server/places/builds/builds'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds', async ({ db, body, today }) => {
  return { id: await createBuild(db, body, today) }
})
