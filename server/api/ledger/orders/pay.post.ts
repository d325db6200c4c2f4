import { orderPaymentSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { payOrder } from '#server/places/ledger/payOrder'

export default writeRoute(async (event) => ({
  builds: await payOrder(await useDatabase(), await bodyOf(event, orderPaymentSchema), today()),
}))
