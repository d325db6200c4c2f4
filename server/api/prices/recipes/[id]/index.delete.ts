import { setRecipeDeleted } from '#server/places/prices/notes'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/prices/recipes', setRecipeDeleted)
