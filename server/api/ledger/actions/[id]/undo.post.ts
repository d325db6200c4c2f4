import { CoreError } from '#core/errors/coreError'
import { undo } from '#server/db/action'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/ledger/actions/:id/undo', async ({ db, params, today }) => {
  const id = Number(params.id)
  if (!Number.isSafeInteger(id)) throw new CoreError('bad-id', {}, 'id')
  return { build: await undo(db, id, today) }
})
