import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf, importOptions } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importShopPrices } from '#server/places/prices/importShopPrices'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const { defaults } = await importOptions(db, event)
  return importShopPrices(db, decodeText(await fileOf(event)).text, {
    currency: defaults.currency,
    today: today(),
  })
}, fileBytes)
