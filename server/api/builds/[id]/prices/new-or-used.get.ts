import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { newOrUsedSheet } from '#server/places/prices/readNewOrUsed'

export default pageRoute(async (event) =>
  newOrUsedSheet(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
