import { recipeSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { keepRecipe } from '#server/places/prices/notes'

export default writeRoute(async (event) => ({
  id: await keepRecipe(await useDatabase(), await bodyOf(event, recipeSchema)),
}))
