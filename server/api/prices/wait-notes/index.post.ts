import { noteToWaitFor } from '#server/places/prices/notes'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/prices/wait-notes', async ({ db, body }) => ({
  id: await noteToWaitFor(db, body),
}))
