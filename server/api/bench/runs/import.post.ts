import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importRuns } from '#server/places/bench/runs'

export default jsonRoute(async (event) =>
  importRuns(await useDatabase(), decodeText(await bodyBytes(event)).text, today()),
)
