import { decodeText } from '#core/importing/decodeText'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyBytes } from '~~/server/http/importing'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { importRuns } from '~~/server/services/runs'

export default jsonRoute(async (event) =>
  importRuns(await useDatabase(), decodeText(await bodyBytes(event)).text, today()),
)
