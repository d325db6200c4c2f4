import type { StreetPriceRequest } from '#shared/calc/schemas'
import { calcStreetPrice } from '#server/calc/streetPriceCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/street-price', async ({ body }) =>
  calcStreetPrice(body as StreetPriceRequest),
)
