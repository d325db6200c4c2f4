import { recipeSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { keepRecipe } from '#server/places/prices/notes'

export default jsonRoute(async (event) => ({
  id: await keepRecipe(await useDatabase(), await bodyOf(event, recipeSchema)),
}))
