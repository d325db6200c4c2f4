import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { briefOf } from '#server/places/brief/brief'

export default jsonRoute(async (event) => briefOf(await useDatabase(), getRouterParam(event, 'id')!))
