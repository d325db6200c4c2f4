import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf, importCurrency } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { importRivals } from '#server/places/rivals/importRivals'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  return importRivals(db, decodeText(await fileOf(event)).text, await importCurrency(db))
}, fileBytes)
