import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { editionsView } from '#server/places/builds/editions'

export default pageRoute(async (event) =>
  editionsView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
