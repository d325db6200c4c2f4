import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { rivalOf } from '#server/places/rivals/rivals'

export default jsonRoute(async (event) => rivalOf(await useDatabase(), getRouterParam(event, 'id')!))
