import { and, eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { Database, Queryable } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import { shopPrices } from '#server/db/schema/prices'
import type { ShopPriceMade } from '#shared/pastes/schemas'
import type { shopPriceSchema } from '#shared/prices/shopPrice'
import { sourceNamed } from '../sources/sourceNamed'

/** Notes what a shop asks for a part; a price of the same shop and day is replaced. */
export async function noteShopPrice(
  db: Database,
  { partId, shop, price, currency, date }: InferType<typeof shopPriceSchema>,
  today: string,
): Promise<{ sourceId: string }> {
  if (date > today) throw new CoreError('future-date', { day: date }, 'date')
  const sourceId = await db.transaction(async (tx) => {
    const source = await sourceNamed(tx, { name: shop, kind: 'shop', currency })
    await putShopPrice(tx, { sourceId: source.id, partId, date, price, currency }, '')
    return source.id
  })
  return { sourceId }
}

/**
 * Writes a price of a shop and day, and answers what it replaced.
 *
 * @param at where the price stands in what was sent, for messages: `shopPrices[2].`
 */
export async function putShopPrice(
  tx: Queryable,
  { sourceId, partId, date, price, currency }: StatedPrice,
  at: string,
): Promise<ShopPriceMade> {
  const amount = parseDecimal(price, currency, `${at}price`)
  if (amount <= 0) throw new CoreError('price', {}, `${at}price`)
  const [part] = await tx.select({ id: parts.id }).from(parts).where(eq(parts.id, partId))
  if (!part) throw new CoreError('no-part', { id: partId }, `${at}partId`)
  const [before] = await tx
    .select({ price: shopPrices.price, currency: shopPrices.currency })
    .from(shopPrices)
    .where(isOf({ sourceId, partId, date }))
  const after = { price: amount, currency }
  await tx
    .insert(shopPrices)
    .values({ partId, sourceId, date, ...after })
    .onConflictDoUpdate({ target: [shopPrices.sourceId, shopPrices.partId, shopPrices.date], set: after })
  return { sourceId, partId, date, after, before: before ?? null }
}

/** Puts back what stood there before; a price that was changed since stays. */
export async function putShopPriceBack(
  tx: Queryable,
  { after, before, ...key }: ShopPriceMade,
): Promise<void> {
  const unchanged = and(isOf(key), eq(shopPrices.price, after.price), eq(shopPrices.currency, after.currency))
  if (before === null) await tx.delete(shopPrices).where(unchanged)
  else await tx.update(shopPrices).set(before).where(unchanged)
}

interface StatedPrice {
  readonly sourceId: string
  readonly partId: string
  readonly date: string
  /** Decimal text. */
  readonly price: string
  readonly currency: string
}

const isOf = ({ sourceId, partId, date }: Pick<StatedPrice, 'sourceId' | 'partId' | 'date'>) =>
  and(eq(shopPrices.sourceId, sourceId), eq(shopPrices.partId, partId), eq(shopPrices.date, date))
