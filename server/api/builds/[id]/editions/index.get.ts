import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { editionsView } from '#server/places/builds/editions'

export default jsonRoute(async (event) =>
  editionsView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
