import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { ledgerCsv } from '#server/places/ledger/ledgerView'

export default defineCall('GET /api/builds/:id/ledger/csv', async ({ db, params, today, event }) =>
  asFile(event, await ledgerCsv(db, params.id, today), 'text/csv', 'ledger.csv'),
)
