import { benchView } from '#server/places/bench/readBench'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/bench', async ({ db, params, today }) =>
  benchView(db, params.id, today),
)
