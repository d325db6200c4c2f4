import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOpinionDeleted } from '#server/places/prices/notes'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOpinionDeleted(await useDatabase(), id, today())
  return { id }
})
