import { decodeText } from '#core/reading/tables/decodeText'
import { importCurrency } from '#server/http/importing'
import { importRivals } from '#server/places/rivals/importRivals'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/rivals/import', async ({ db, file }) => {
  return importRivals(db, decodeText(file).text, await importCurrency(db))
})
