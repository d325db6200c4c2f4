import { reverseEntry } from '#server/places/ledger/ledgerEntries'
import { ledgerAfter } from '#server/places/ledger/ledgerView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/ledger/entries/:id/reverse', async ({ db, params, today }) => {
  return ledgerAfter(db, await reverseEntry(db, params.id, today), today)
})
