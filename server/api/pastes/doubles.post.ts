import { doublesOf } from '#server/places/pastes/doubles'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/pastes/doubles', async ({ db, body }) => ({
  places: await doublesOf(db, body),
}))
