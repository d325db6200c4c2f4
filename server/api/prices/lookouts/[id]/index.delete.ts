import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setLookoutDeleted } from '#server/places/prices/lookouts'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setLookoutDeleted(await useDatabase(), id, today())
  return { id }
})
