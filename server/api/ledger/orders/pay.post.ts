import { payOrder } from '#server/places/ledger/payOrder'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/ledger/orders/pay', async ({ db, body, today }) => ({
  builds: await payOrder(db, body, today),
}))
