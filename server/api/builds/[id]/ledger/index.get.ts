import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { ledgerView } from '#server/places/ledger/ledgerView'

export default pageRoute(async (event) =>
  ledgerView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
