import { agreeSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { agree } from '#server/places/leads/leadSteps'

export default writeRoute(async (event) => {
  await agree(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, agreeSchema), today())
  return { done: true }
})
