import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/context/readBuild'

export default jsonRoute(async (event) =>
  buildView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
