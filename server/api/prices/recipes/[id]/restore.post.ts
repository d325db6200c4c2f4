import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setRecipeDeleted } from '#server/places/prices/notes'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setRecipeDeleted(await useDatabase(), id, null)
  return { id }
})
