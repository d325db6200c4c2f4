import { buildView } from '#server/places/builds/buildView'
import { saveWeighing } from '#server/places/scales/scalesSettings'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/builds/:id/scales/settings', async ({ db, params, body, today }) => {
  await saveWeighing(db, params.id, body)
  return buildView(db, params.id, today)
})
