import { addWorkResult } from '#server/places/work/work'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/work/results', async ({ db, body, today }) =>
  addWorkResult(db, body, today),
)
