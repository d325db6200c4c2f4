import { readSales } from '#core/reading/sales/readSales'
import { readSalesRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'

export default jsonRoute(async (event) => {
  const { text, ...context } = await bodyOf(event, readSalesRequest)
  return readSales(text, context as Parameters<typeof readSales>[1])
})
