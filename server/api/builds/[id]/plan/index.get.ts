import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { planQuestion } from '#server/places/plan/planQuestion'

export default pageRoute(async (event) =>
  planQuestion(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
