import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setWaitNoteDeleted } from '#server/places/prices/notes'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setWaitNoteDeleted(await useDatabase(), id, today())
  return { id }
})
