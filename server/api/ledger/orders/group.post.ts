import { groupOrder } from '#server/places/ledger/groupOrder'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/ledger/orders/group', async ({ db, body, today }) => {
  await groupOrder(db, body, today)
  return { done: true as const }
})
