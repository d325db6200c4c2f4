import { NotFoundError } from '#server/errors/notFoundError'
import { sourceOf } from '#server/places/sources/sources'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/sources/:id', async ({ db, params }) => {
  const source = await sourceOf(db, params.id)
  if (!source) throw new NotFoundError('source', params.id)
  return source
})
