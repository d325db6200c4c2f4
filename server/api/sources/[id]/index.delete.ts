import { removeSource } from '#server/places/sources/sources'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/sources/:id', async ({ db, params }) => {
  await removeSource(db, params.id)
  return { done: true as const }
})
