import { passSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { pass } from '#server/places/leads/leadSteps'

export default writeRoute(async (event) => {
  await pass(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, passSchema), today())
  return { done: true }
})
