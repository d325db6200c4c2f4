import { buildAfter } from '#server/places/builds/buildView'
import { setSelling } from '#server/places/ledger/selling'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/builds/:id/ledger/selling', async ({ db, params, body, today }) => {
  await setSelling(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
