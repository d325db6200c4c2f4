import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setLookoutDeleted } from '#server/places/prices/lookouts'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setLookoutDeleted(await useDatabase(), id, null)
  return { id }
})
