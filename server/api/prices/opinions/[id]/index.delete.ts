import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOpinionDeleted } from '#server/places/prices/notes'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOpinionDeleted(await useDatabase(), id, today())
  return { id }
})
