import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { marketChanged } from '#server/context/market'
import type { Database } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import { shopPrices } from '#server/db/schema/prices'
import { NotFoundError } from '#server/errors/notFoundError'
import type { shopPriceSchema } from '#shared/prices/shopPrice'
import { sourceNamed } from '../sources/sourceNamed'

/** Notes what a shop asks for a part; a price of the same shop and day is replaced. */
export async function noteShopPrice(
  db: Database,
  { partId, shop, price, currency, date }: InferType<typeof shopPriceSchema>,
  today: string,
): Promise<{ sourceId: string }> {
  if (date > today) throw new CoreError('future-date', `${date} is still to come`, 'date')
  const amount = parseDecimal(price, currency, 'price')
  if (amount <= 0) throw new CoreError('price', 'a price must be more than zero', 'price')
  const sourceId = await db.transaction(async (tx) => {
    const [part] = await tx.select({ id: parts.id }).from(parts).where(eq(parts.id, partId))
    if (!part) throw new NotFoundError(`there is no part "${partId}"`)
    const source = await sourceNamed(tx, { name: shop, kind: 'shop', currency })
    await tx
      .insert(shopPrices)
      .values({ partId, sourceId: source.id, date, price: amount, currency })
      .onConflictDoUpdate({
        target: [shopPrices.sourceId, shopPrices.partId, shopPrices.date],
        set: { price: amount, currency },
      })
    return source.id
  })
  marketChanged(db)
  return { sourceId }
}
