import type { PartQuery } from '#core/reading/titles/queryForPart'
import { setQuery, useMarket } from '#server/context/market'
import { refuseStale } from '#server/http/stale'
import { priceAfter } from '#server/places/prices/readPrices'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'PUT /api/builds/:id/prices/parts/:part/query',
  async ({ db, params, body, today, event }) => {
    refuseStale(event, 'the query', (await useMarket(db)).queries.get(params.part))
    await setQuery(db, params.part, body as PartQuery)
    return priceAfter(db, params.id, params.part, today)
  },
)
