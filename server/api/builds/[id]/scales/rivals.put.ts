import { setRivals } from '#server/places/scales/setRivals'
import { buildView } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/builds/:id/scales/rivals', async ({ db, params, body, today }) => {
  await setRivals(db, params.id, body.rivals, today)
  return buildView(db, params.id, today)
})
