import { calcAccount } from '#server/calc/accountCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/account', ({ body }) => calcAccount(body))
