import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { importRivals } from '#server/places/rivals/importRivals'

export default jsonRoute(async (event) =>
  importRivals(await useDatabase(), decodeText(await bodyBytes(event)).text),
)
