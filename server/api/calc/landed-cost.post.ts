import { calcLandedCost } from '#server/calc/landedCostCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/landed-cost', ({ body }) => calcLandedCost(body))
