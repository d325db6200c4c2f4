import { refuseStale, tellTag } from '#server/http/stale'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { buildAfter } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/builds/:id/brief', async ({ db, params, body, today, event }) => {
  refuseStale(event, 'the brief', await briefOf(db, params.id))
  await saveBrief(db, params.id, body, today)
  tellTag(event, await briefOf(db, params.id))
  return buildAfter(db, params.id, today)
})
