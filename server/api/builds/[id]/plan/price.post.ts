import { planCarriedOut } from '#server/places/plan/planCarriedOut'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'

export default defineCall('POST /api/builds/:id/plan/price', async ({ db, params, body, today }) =>
  planCarriedOut(await useWorld(db), params.id, body, today),
)
