import { refuseStale, refuseTaken } from '#server/http/stale'
import { saveSource, sourceOf } from '#server/places/sources/sources'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/sources', async ({ db, body: source, event }) => {
  const saved = await sourceOf(db, source.id)
  refuseTaken(event, 'a source with that name', saved)
  refuseStale(event, 'the source', saved)
  return saveSource(db, source)
})
