import { importBuild } from '#server/places/builds/buildFile'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/import', async ({ db, body, today }) => ({
  id: await importBuild(db, body, today),
}))
