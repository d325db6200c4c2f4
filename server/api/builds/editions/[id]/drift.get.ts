import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { driftBetween } from '#server/places/builds/editions'

/** `?to=ID`: what has changed from this edition to another. */
export default jsonRoute(async (event) =>
  driftBetween(await useDatabase(), getRouterParam(event, 'id')!, String(getQuery(event).to ?? '')),
)
