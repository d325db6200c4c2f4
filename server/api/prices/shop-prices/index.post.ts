import { shopPriceSchema } from '#shared/prices/shopPrice'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'

export default writeRoute(async (event) =>
  noteShopPrice(await useDatabase(), await bodyOf(event, shopPriceSchema), today()),
)
