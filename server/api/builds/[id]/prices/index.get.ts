import { priceBriefs } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/prices', async ({ db, params, today }) =>
  priceBriefs(db, params.id, today),
)
