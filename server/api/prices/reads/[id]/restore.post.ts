import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { setReadDeleted } from '#server/places/prices/notes'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setReadDeleted(await useDatabase(), id, null)
  return { id }
})
