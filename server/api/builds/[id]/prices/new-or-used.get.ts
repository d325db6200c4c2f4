import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { newOrUsedSheet } from '#server/places/prices/readNewOrUsed'

export default jsonRoute(async (event) =>
  newOrUsedSheet(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
