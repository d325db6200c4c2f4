import { sourceSchema } from '#shared/sources/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { refuseStale, refuseTaken } from '#server/http/stale'
import { saveSource, sourceOf } from '#server/places/sources/sources'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const source = await bodyOf(event, sourceSchema)
  const saved = await sourceOf(db, source.id)
  refuseTaken(event, 'a source with that name', saved)
  refuseStale(event, 'the source', saved)
  return saveSource(db, source)
})
