import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setReadDeleted } from '#server/places/prices/notes'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setReadDeleted(await useDatabase(), id, null)
  return { id }
})
