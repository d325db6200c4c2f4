import { keepFrameLog } from '#server/places/bench/runs'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/bench/runs/:id/log', async ({ db, params, file, today, query }) =>
  keepFrameLog(db, params.id, query.name, file, today),
)
