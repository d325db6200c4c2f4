import { planSchema } from '#shared/plan/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { planOnReceipt } from '#server/places/plan/takePlan'

export default buildRoute(async (event) => {
  const { ways, sold } = await bodyOf(event, planSchema)
  return planOnReceipt(await useDatabase(), getRouterParam(event, 'id')!, ways, sold, today())
})
