import { setAssembled } from '#server/places/machine/assembled'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/assembled', async ({ db, params, body }) => {
  return {
    assembled: await setAssembled(db, params.id, body),
  }
})
