import { buildAfter } from '#server/places/builds/buildView'
import { unsettle } from '#server/places/machine/fix'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/unsettle', async ({ db, params, body, today }) => {
  await unsettle(db, params.id, body.key)
  return buildAfter(db, params.id, today)
})
