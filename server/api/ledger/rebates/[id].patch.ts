import { stepRebate } from '#server/places/ledger/rebateSteps'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/ledger/rebates/:id', async ({ db, params, body, today }) => ({
  buildId: await stepRebate(db, params.id, body, today),
}))
