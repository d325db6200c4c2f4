import { decodeText } from '#core/reading/tables/decodeText'
import { defineCall } from '#server/http/defineCall'
import { importOptions } from '#server/http/importing'
import { importShopPrices } from '#server/places/prices/importShopPrices'

export default defineCall('POST /api/prices/shop-prices/import', async ({ db, file, query, today }) => {
  const { defaults } = await importOptions(db, query.options)
  return importShopPrices(db, decodeText(file).text, { currency: defaults.currency, today })
})
