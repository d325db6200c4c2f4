import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { ledgerView } from '#server/places/ledger/ledgerView'

export default jsonRoute(async (event) =>
  ledgerView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
