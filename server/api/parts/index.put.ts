import { partSchema } from '#shared/parts/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { refuseStale, refuseTaken } from '#server/http/stale'
import { partOf, savePart } from '#server/places/parts/parts'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const part = await bodyOf(event, partSchema)
  const saved = await partOf(db, part.id)
  refuseTaken(event, 'a part with that name', saved)
  refuseStale(event, 'the part', saved)
  return savePart(db, part)
})
