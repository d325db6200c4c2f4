import type { PartQuery } from '#core/reading/titles/queryForPart'
import { setQuery } from '#server/context/market'
import { priceView } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'PUT /api/builds/:id/prices/parts/:part/query',
  async ({ db, params, body, today }) => {
    await setQuery(db, params.part, body as PartQuery)
    return priceView(db, params.id, params.part, today)
  },
)
