import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { setRecipeDeleted } from '#server/places/prices/notes'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setRecipeDeleted(await useDatabase(), id, null)
  return { id }
})
