import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { leadInput } from '#server/places/leads/leads'

export default jsonRoute(async (event) => leadInput(await useDatabase(), getRouterParam(event, 'id')!))
