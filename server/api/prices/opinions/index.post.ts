import { noteOpinion } from '#server/places/prices/notes'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/prices/opinions', async ({ db, body, today }) => ({
  id: await noteOpinion(db, body, today),
}))
