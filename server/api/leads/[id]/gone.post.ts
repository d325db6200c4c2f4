import { leadDaySchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { gone } from '#server/places/leads/leadSteps'

export default writeRoute(async (event) => {
  await gone(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, leadDaySchema), today())
  return { done: true }
})
