import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { haggleView } from '#server/places/leads/haggle'

export default jsonRoute(async (event) =>
  haggleView(await useDatabase(), getRouterParam(event, 'id')!, getRouterParam(event, 'lead')!, today()),
)
