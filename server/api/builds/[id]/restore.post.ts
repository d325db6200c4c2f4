import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setBuildDeleted } from '#server/places/builds/builds'

export default writeRoute(async (event) => {
  await setBuildDeleted(await useDatabase(), getRouterParam(event, 'id')!, null)
  return { done: true }
})
