import { CoreError } from '#core/errors/coreError'
import { rankedRoles } from '#core/parts/indexOfPart'
import { worthView } from '#server/places/prices/readWorth'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/prices/worth/:role', async ({ db, params, today }) => {
  const role = rankedRoles.find((each) => each === params.role)
  if (!role) throw new CoreError('unknown-role', { rankedRoles: rankedRoles.join(', ') }, 'role')
  return worthView(db, params.id, role, today)
})
