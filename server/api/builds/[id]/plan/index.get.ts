import { planQuestion } from '#server/places/plan/planQuestion'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/plan', async ({ db, params, today }) =>
  planQuestion(db, params.id, today),
)
