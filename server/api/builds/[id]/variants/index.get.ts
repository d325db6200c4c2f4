import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { variantsView } from '#server/places/builds/variants'

export default jsonRoute(async (event) =>
  variantsView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
