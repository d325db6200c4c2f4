import { buildAfter } from '#server/places/builds/buildView'
import { stand } from '#server/places/ledger/machineSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/ledger/stand', async ({ db, params, body, today }) => {
  await stand(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
