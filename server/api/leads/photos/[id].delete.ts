import { setPhotoDeleted } from '#server/places/leads/photos'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/leads/photos/:id', async ({ db, params, now }) => {
  await setPhotoDeleted(db, params.id, now)
  return { done: true as const }
})
