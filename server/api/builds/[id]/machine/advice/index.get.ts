import { adviceViews } from '#server/places/machine/advice'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/machine/advice', async ({ db, params, today }) =>
  adviceViews(db, params.id, today),
)
