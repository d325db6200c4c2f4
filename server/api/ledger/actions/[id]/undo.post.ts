import { CoreError } from '#core/errors/coreError'
import { undo } from '#server/db/action'
import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'

export default writeRoute(async (event) => {
  const id = Number(getRouterParam(event, 'id'))
  if (!Number.isSafeInteger(id)) throw new CoreError('bad-id', 'actions are addressed by number', 'id')
  return { build: await undo(await useDatabase(), id, today()) }
})
