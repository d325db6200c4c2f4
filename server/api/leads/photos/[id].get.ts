import { readPhoto } from '#server/places/leads/photos'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/leads/photos/:id', async ({ db, params, event }) => {
  const picture = await readPhoto(db, params.id)
  setHeader(event, 'content-type', 'image/jpeg')
  setHeader(event, 'x-content-type-options', 'nosniff')
  return picture
})
