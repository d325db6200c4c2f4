import { readSales } from '#core/reading/sales/readSales'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/read-sales', async ({ body }) => {
  const { text, ...context } = body
  return readSales(text, context as Parameters<typeof readSales>[1])
})
