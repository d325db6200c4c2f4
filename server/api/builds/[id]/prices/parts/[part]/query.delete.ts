import { setQuery } from '#server/context/market'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'DELETE /api/builds/:id/prices/parts/:part/query',
  async ({ db, params, today }) => {
    await setQuery(db, params.part, null)
    return priceAfter(db, params.id, params.part, today)
  },
)
