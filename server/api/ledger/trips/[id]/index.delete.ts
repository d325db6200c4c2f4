import { giveUpTrip } from '#server/places/ledger/trips'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/ledger/trips/:id', async ({ db, params, now }) => {
  await giveUpTrip(db, params.id, now)
  return { done: true as const }
})
