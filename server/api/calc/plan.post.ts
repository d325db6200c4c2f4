import { calcPlan } from '#server/calc/planCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/plan', ({ body }) => calcPlan(body))
