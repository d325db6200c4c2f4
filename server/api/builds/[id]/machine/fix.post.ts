import { buildAfter } from '#server/places/builds/buildView'
import { takeWay } from '#server/places/machine/fix'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/fix', async ({ db, params, body, today }) => {
  await takeWay(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
