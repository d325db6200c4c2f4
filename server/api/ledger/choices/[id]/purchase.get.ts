import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { purchaseView } from '#server/places/ledger/purchase'

export default jsonRoute(async (event) =>
  purchaseView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
