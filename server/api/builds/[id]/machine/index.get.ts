import { machineView } from '#server/places/machine/readMachine'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/machine', async ({ db, params, today }) =>
  machineView(db, params.id, today),
)
