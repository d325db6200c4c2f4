import { recipes } from '#server/places/prices/notes'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/prices/recipes', async ({ db }) => recipes(db))
