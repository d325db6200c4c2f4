import { CoreError } from '#core/errors/coreError'
import type { ShopPriceMade } from '#shared/pastes/schemas'
import { putShopPrice, putShopPriceBack } from '../../prices/noteShopPrice'
import type { PasteSection } from '../pasteSection'

/** What a shop asks today. */
export const shopPrices: PasteSection<'shopPrices'> = {
  async keep(tx, { input, source, today }) {
    const made: ShopPriceMade[] = []
    for (const [index, stated] of input.shopPrices.entries()) {
      if (source === null) throw new CoreError('no-shop', {}, 'source')
      const price = { ...stated, sourceId: source.id, date: today }
      made.push(await putShopPrice(tx, price, `shopPrices[${index}].`))
    }
    return made
  },
  async takeBack(tx, made = []) {
    // the last one first, where one paste states a price twice
    for (const price of made.toReversed()) await putShopPriceBack(tx, price)
  },
}
