import { leadSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { createLead } from '~~/server/services/leads'

export default jsonRoute(async (event) => ({
  id: await createLead(await useDatabase(), await bodyOf(event, leadSchema)),
}))
