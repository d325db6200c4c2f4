import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { reverseEntry } from '#server/places/ledger/ledgerEntries'
import { ledgerView } from '#server/places/ledger/ledgerView'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  return ledgerView(db, await reverseEntry(db, getRouterParam(event, 'id')!, today()), today())
})
