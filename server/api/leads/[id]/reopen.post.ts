import { leadDaySchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { reopen } from '#server/places/leads/leadSteps'

export default writeRoute(async (event) => {
  await reopen(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, leadDaySchema), today())
  return { done: true }
})
