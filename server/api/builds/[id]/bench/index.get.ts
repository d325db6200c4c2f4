import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { benchView } from '#server/places/bench/readBench'

export default jsonRoute(async (event) =>
  benchView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
