import { buildAfter } from '#server/places/builds/buildView'
import { swap } from '#server/places/machine/fix'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/swap', async ({ db, params, body, today }) => {
  await swap(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
