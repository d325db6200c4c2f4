import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { capView } from '#server/places/brief/readCap'

export default pageRoute(async (event) => capView(await useDatabase(), getRouterParam(event, 'id')!, today()))
