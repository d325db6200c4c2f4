import { refuseStale, refuseTaken } from '#server/http/stale'
import { refuseSecondName } from '#server/places/parts/secondName'
import { partOf, savePart } from '#server/places/parts/parts'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/parts', async ({ db, body: part, event }) => {
  const saved = await partOf(db, part.id)
  refuseTaken(event, 'a part with that name', saved)
  refuseStale(event, 'the part', saved)
  await refuseSecondName(db, part, 'name')
  return savePart(db, part)
})
