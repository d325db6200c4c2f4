import { calcCheckFit } from '#server/calc/checkFitCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/check-fit', async ({ body, today }) => calcCheckFit(body, today))
