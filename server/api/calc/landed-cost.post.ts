import { landedCostRequest } from '#shared/schemas/calc'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { calcLandedCost } from '~~/server/services/calc/landedCostCalc'

export default jsonRoute(async (event) => calcLandedCost(await bodyOf(event, landedCostRequest)))
