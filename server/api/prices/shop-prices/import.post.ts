import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes, importOptions } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importShopPrices } from '#server/places/prices/importShopPrices'

export default jsonRoute(async (event) => {
  const { defaults } = importOptions(event)
  return importShopPrices(await useDatabase(), decodeText(await bodyBytes(event)).text, {
    currency: defaults.currency,
    today: today(),
  })
})
