import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { leadViews } from '#server/places/leads/readLeads'

export default pageRoute(async (event) =>
  leadViews(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
