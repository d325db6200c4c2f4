import { levelOf } from '#server/places/scales/readLevel'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'

export default defineCall('GET /api/builds/:id/scales/level', async ({ db, params, query, today }) =>
  levelOf(await useWorld(db), params.id, query.rivalId, today),
)
