import { takePlanSchema } from '#shared/plan/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { takePlan } from '#server/places/plan/takePlan'

export default buildRoute(async (event) =>
  takePlan(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, takePlanSchema), today()),
)
