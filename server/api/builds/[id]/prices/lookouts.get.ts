import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { lookoutHits } from '#server/places/prices/lookouts'

export default pageRoute(async (event) =>
  lookoutHits(await useDatabase(), today(), getRouterParam(event, 'id')!),
)
