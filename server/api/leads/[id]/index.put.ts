import { leadSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { updateLead } from '#server/places/leads/leads'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await updateLead(await useDatabase(), id, await bodyOf(event, leadSchema), today())
  return { id }
})
