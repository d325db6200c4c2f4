import { leadSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { createLead } from '#server/places/leads/leads'

export default jsonRoute(async (event) => ({
  id: await createLead(await useDatabase(), await bodyOf(event, leadSchema)),
}))
