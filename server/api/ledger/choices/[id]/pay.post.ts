import { payOrder } from '#server/places/ledger/payOrder'
import { buildAfter } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'

/** One choice paid by itself. */
export default defineCall('POST /api/ledger/choices/:id/pay', async ({ db, params, body, today }) => {
  const { day, amount } = body
  const choiceIds = [params.id]
  const [build] = await payOrder(db, { choiceIds, day, total: amount, amounts: [] }, today)
  return buildAfter(db, build!, today)
})
