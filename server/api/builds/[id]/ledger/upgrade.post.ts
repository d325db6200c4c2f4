import { beginUpgrade } from '#server/places/ledger/machineSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/upgrade', async ({ db, params, body, today }) => ({
  id: await beginUpgrade(db, params.id, body, today),
}))
