import { rivalQuestion } from '#server/places/scales/rivalQuestion'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'

export default defineCall('GET /api/builds/:id/scales/question', async ({ db, params, query, today }) =>
  rivalQuestion(await useWorld(db), params.id, query, today),
)
