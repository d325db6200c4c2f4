import { useDatabase } from '#server/db/useDatabase'
import { buildRoute } from '#server/http/jsonRoute'
import { setBuildDeleted } from '#server/places/builds/builds'

export default buildRoute(async (event) => {
  await setBuildDeleted(await useDatabase(), getRouterParam(event, 'id')!, new Date().toISOString())
  return { done: true }
})
