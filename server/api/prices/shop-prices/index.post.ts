import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/prices/shop-prices', async ({ db, body, today }) =>
  noteShopPrice(db, body, today),
)
