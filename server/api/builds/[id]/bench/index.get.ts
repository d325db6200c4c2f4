import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { benchView } from '#server/places/bench/readBench'

export default pageRoute(async (event) =>
  benchView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
