import { calcLot } from '#server/calc/lotCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/lot', ({ body }) => calcLot(body))
