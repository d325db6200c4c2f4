import { useDatabase } from '~~/server/db/useDatabase'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { changeChoice } from '~~/server/services/builds'
import { buildView } from '~~/server/services/buildView'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const buildId = await changeChoice(db, getRouterParam(event, 'id')!, { deletedAt: new Date().toISOString() }, today())
  return buildView(db, buildId, today())
})
