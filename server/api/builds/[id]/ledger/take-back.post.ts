import { buildAfter } from '#server/places/builds/buildView'
import { takeMachineBack } from '#server/places/ledger/machineSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/take-back', async ({ db, params, body, today }) => {
  await takeMachineBack(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
