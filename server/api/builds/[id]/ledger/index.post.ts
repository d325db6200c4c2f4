import { addEntry } from '#server/places/ledger/ledgerEntries'
import { ledgerAfter } from '#server/places/ledger/ledgerView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger', async ({ db, params, body, today }) => {
  await addEntry(db, params.id, body, today)
  return ledgerAfter(db, params.id, today)
})
