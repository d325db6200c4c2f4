import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { briefOf } from '#server/places/builds/builds'

export default jsonRoute(async (event) => briefOf(await useDatabase(), getRouterParam(event, 'id')!))
