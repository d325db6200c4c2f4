import { buildAfter } from '#server/places/builds/buildView'
import { takeApart } from '#server/places/ledger/machineSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/take-apart', async ({ db, params, body, today }) => {
  await takeApart(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
