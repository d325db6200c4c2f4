import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { variantsView } from '#server/places/builds/variants'

export default pageRoute(async (event) =>
  variantsView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
