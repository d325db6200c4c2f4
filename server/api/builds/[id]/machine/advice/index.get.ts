import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { adviceViews } from '#server/places/machine/advice'

export default jsonRoute(async (event) =>
  adviceViews(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
