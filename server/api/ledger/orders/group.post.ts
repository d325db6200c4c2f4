import { orderGroupSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { groupOrder } from '#server/places/ledger/groupOrder'

export default writeRoute(async (event) => {
  await groupOrder(await useDatabase(), await bodyOf(event, orderGroupSchema), today())
  return { done: true }
})
