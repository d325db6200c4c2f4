import { buildAfter } from '#server/places/builds/buildView'
import { sellMachine } from '#server/places/ledger/machineSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/sell', async ({ db, params, body, today }) => {
  await sellMachine(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
