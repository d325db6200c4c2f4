import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { removeSource } from '#server/places/sources/sources'

export default writeRoute(async (event) => {
  await removeSource(await useDatabase(), getRouterParam(event, 'id')!)
  return { ok: true }
})
