import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { leadViews } from '#server/places/leads/readLeads'

export default jsonRoute(async (event) =>
  leadViews(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
