import { decodeText } from '#core/reading/tables/decodeText'
import { defineCall } from '#server/http/defineCall'
import { importOptions } from '#server/http/importing'
import { importLeads } from '#server/places/leads/importLeads'

export default defineCall('POST /api/leads/import', async ({ db, file, query, today }) => {
  const { defaults } = await importOptions(db, query.options)
  return importLeads(db, decodeText(file).text, { currency: defaults.currency, today })
})
