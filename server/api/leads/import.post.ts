import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf, importOptions } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importLeads } from '#server/places/leads/importLeads'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const { defaults } = await importOptions(db, event)
  return importLeads(db, decodeText(await fileOf(event)).text, {
    currency: defaults.currency,
    today: today(),
  })
}, fileBytes)
