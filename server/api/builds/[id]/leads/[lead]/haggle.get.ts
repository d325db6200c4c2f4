import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { haggleView } from '#server/places/leads/haggle'

export default pageRoute(async (event) =>
  haggleView(await useDatabase(), getRouterParam(event, 'id')!, getRouterParam(event, 'lead')!, today()),
)
