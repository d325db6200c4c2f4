import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { lookoutHits } from '#server/places/prices/lookouts'

export default jsonRoute(async (event) =>
  lookoutHits(await useDatabase(), today(), getRouterParam(event, 'id')!),
)
