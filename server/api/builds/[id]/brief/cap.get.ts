import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { capView } from '#server/places/brief/readCap'

export default jsonRoute(async (event) => capView(await useDatabase(), getRouterParam(event, 'id')!, today()))
