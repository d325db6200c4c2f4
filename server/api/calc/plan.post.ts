import { planRequest } from '#shared/calc/schemas'
import { calcPlan } from '#server/calc/planCalc'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'

const mostBytes = 16 * 1024 * 1024

export default jsonRoute(async (event) => calcPlan(await bodyOf(event, planRequest, mostBytes)))
