import { addRun } from '#server/places/bench/runs'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/bench/runs', async ({ db, body, today }) => addRun(db, body, today))
