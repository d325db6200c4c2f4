import { refuseStale } from '#server/http/stale'
import { changeRival, rivalOf } from '#server/places/rivals/rivals'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/rivals/:id', async ({ db, params, body, event }) => {
  const rival = body
  refuseStale(event, 'the rival', await rivalOf(db, params.id))
  return changeRival(db, params.id, rival)
})
