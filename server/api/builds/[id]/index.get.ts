import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'

export default jsonRoute(async (event) =>
  buildView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
