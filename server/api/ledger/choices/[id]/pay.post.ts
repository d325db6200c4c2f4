import { paymentSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { payOrder } from '#server/places/ledger/payOrder'
import { buildView } from '#server/places/builds/buildView'

/** One choice paid by itself. */
export default writeRoute(async (event) => {
  const db = await useDatabase()
  const { day, amount } = await bodyOf(event, paymentSchema)
  const choiceIds = [getRouterParam(event, 'id')!]
  const [build] = await payOrder(db, { choiceIds, day, total: amount, amounts: [] }, today())
  return buildView(db, build!, today())
})
