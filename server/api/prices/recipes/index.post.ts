import { recipeSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { keepRecipe } from '~~/server/services/prices/notes'

export default jsonRoute(async (event) => ({
  id: await keepRecipe(await useDatabase(), await bodyOf(event, recipeSchema)),
}))
