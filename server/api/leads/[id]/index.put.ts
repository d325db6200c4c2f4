import { leadSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { refuseStale } from '#server/http/stale'
import { today } from '#server/http/today'
import { leadInput, updateLead } from '#server/places/leads/leads'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const lead = await bodyOf(event, leadSchema)
  refuseStale(event, 'the lead', await leadInput(db, id))
  await updateLead(db, id, lead, today())
  return { id }
})
