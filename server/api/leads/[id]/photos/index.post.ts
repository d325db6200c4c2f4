import { addPhoto } from '#server/places/leads/photos'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/:id/photos', async ({ db, params, file, today, query }) => ({
  id: await addPhoto(db, params.id, file, query.arrival === '1', today),
}))
