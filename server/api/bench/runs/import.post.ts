import { decodeText } from '#core/reading/tables/decodeText'
import { importRuns } from '#server/places/bench/runs'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/bench/runs/import', async ({ db, file, today }) =>
  importRuns(db, decodeText(file).text, today),
)
