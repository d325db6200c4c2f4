import { streetPriceRequest, type StreetPriceRequest } from '#shared/schemas/calc'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { calcStreetPrice } from '~~/server/services/calc/streetPriceCalc'

export default jsonRoute(async (event) =>
  calcStreetPrice((await bodyOf(event, streetPriceRequest)) as StreetPriceRequest),
)
