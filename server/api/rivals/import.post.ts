import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { importRivals } from '#server/places/rivals/importRivals'

export default writeRoute(
  async (event) => importRivals(await useDatabase(), decodeText(await fileOf(event)).text),
  fileBytes,
)
