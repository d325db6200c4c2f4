import { setOwnFigure } from '#server/places/prices/notes'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'DELETE /api/builds/:id/prices/parts/:part/own-figure',
  async ({ db, params, today }) => {
    await setOwnFigure(db, params.id, params.part, null, today)
    return priceAfter(db, params.id, params.part, today)
  },
)
