import { decodeText } from '#core/reading/tables/decodeText'
import { importLedger } from '#server/places/ledger/importLedger'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/import', async ({ db, params, file, today }) =>
  importLedger(db, params.id, decodeText(file).text, today),
)
