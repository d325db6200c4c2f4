import { keepRecipe } from '#server/places/prices/notes'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/prices/recipes', async ({ db, body }) => ({
  id: await keepRecipe(db, body),
}))
