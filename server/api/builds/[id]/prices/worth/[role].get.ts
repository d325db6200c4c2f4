import { CoreError } from '#core/errors/coreError'
import { rankedRoles } from '#core/parts/indexOfPart'
import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { worthView } from '#server/places/prices/readWorth'

export default pageRoute(async (event) => {
  const role = rankedRoles.find((each) => each === getRouterParam(event, 'role'))
  if (!role)
    throw new CoreError('unknown-role', `ranking is available for: ${rankedRoles.join(', ')}`, 'role')
  return worthView(await useDatabase(), getRouterParam(event, 'id')!, role, today())
})
