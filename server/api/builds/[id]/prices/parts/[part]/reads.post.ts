import { keepRead } from '#server/places/prices/notes'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'POST /api/builds/:id/prices/parts/:part/reads',
  async ({ db, params, body, today }) => {
    await keepRead(db, params.id, params.part, body, today)
    return priceAfter(db, params.id, params.part, today)
  },
)
