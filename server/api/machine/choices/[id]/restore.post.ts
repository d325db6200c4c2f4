import { changeChoice } from '#server/places/machine/choices'
import { buildAfter } from '#server/places/builds/buildView'
import { isInherited, setDropped } from '#server/places/builds/variants'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/machine/choices/:id/restore', async ({ db, params, today, query }) => {
  if (query.in !== '' && (await isInherited(db, params.id, query.in))) {
    await setDropped(db, query.in, params.id, false)
    return buildAfter(db, query.in, today)
  }
  const buildId = await changeChoice(db, params.id, { deletedAt: null }, today)
  return buildAfter(db, buildId, today)
})
