import { leadSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { createLead } from '#server/places/leads/leads'

export default writeRoute(async (event) => ({
  id: await createLead(await useDatabase(), await bodyOf(event, leadSchema)),
}))
