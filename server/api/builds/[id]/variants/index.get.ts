import { useDatabase } from '~~/server/db/useDatabase'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { variantsView } from '~~/server/services/variants'

export default jsonRoute(async (event) =>
  variantsView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
