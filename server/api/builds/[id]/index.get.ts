import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'

export default pageRoute(async (event) =>
  buildView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
