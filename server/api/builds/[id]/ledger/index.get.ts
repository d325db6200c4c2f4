import { ledgerView } from '#server/places/ledger/ledgerView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/ledger', async ({ db, params, today }) =>
  ledgerView(db, params.id, today),
)
