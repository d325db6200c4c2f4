import { patchRun } from '#server/places/bench/runs'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/bench/runs/:id', async ({ db, params, body, now }) => {
  await patchRun(db, params.id, body, now)
  return { done: true as const }
})
