import { setOverride } from '#server/context/market'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'PUT /api/builds/:id/prices/parts/:part/overrides',
  async ({ db, params, body, today }) => {
    const { recordIds, decision } = body
    await setOverride(db, params.part, recordIds, decision)
    return priceAfter(db, params.id, params.part, today)
  },
)
