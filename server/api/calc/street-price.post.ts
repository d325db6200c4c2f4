import { streetPriceRequest, type StreetPriceRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { calcStreetPrice } from '#server/calc/streetPriceCalc'

export default jsonRoute(async (event) =>
  calcStreetPrice((await bodyOf(event, streetPriceRequest, 64 * 1024 * 1024)) as StreetPriceRequest),
)
