import { entrySchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addEntry } from '#server/places/ledger/ledgerEntries'
import { ledgerView } from '#server/places/ledger/ledgerView'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const build = getRouterParam(event, 'id')!
  await addEntry(db, build, await bodyOf(event, entrySchema), today())
  return ledgerView(db, build, today())
})
