import { defineCall } from '#server/http/defineCall'
import { stepsView } from '#server/places/machine/readSteps'

export default defineCall('GET /api/builds/:id/machine/steps', async ({ db, params, query, today }) =>
  stepsView(db, params.id, today, query.role),
)
