import { priceView } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds/:id/prices/parts/:part', async ({ db, params, today }) =>
  priceView(db, params.id, params.part, today),
)
