import { landedCostRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { calcLandedCost } from '#server/calc/landedCostCalc'

export default jsonRoute(async (event) => calcLandedCost(await bodyOf(event, landedCostRequest)))
