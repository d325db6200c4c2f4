import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importRuns } from '#server/places/bench/runs'

export default writeRoute(
  async (event) => importRuns(await useDatabase(), decodeText(await fileOf(event)).text, today()),
  fileBytes,
)
