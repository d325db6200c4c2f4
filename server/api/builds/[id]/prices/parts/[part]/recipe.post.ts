import { applyRecipe } from '#server/places/prices/notes'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'POST /api/builds/:id/prices/parts/:part/recipe',
  async ({ db, params, body, today }) => {
    await applyRecipe(db, body.recipeId, params.part)
    return priceAfter(db, params.id, params.part, today)
  },
)
