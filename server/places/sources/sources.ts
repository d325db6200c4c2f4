import { sourceRow } from './sourceRow'
import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { toDecimal } from '#core/money/decimal'
import type { Database, Queryable } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { orders } from '#server/db/schema/ledger'
import { shopPrices } from '#server/db/schema/prices'
import { connectors, sources } from '#server/db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import type { SourceInput } from '#shared/sources/schemas'

export async function saveSource(db: Database, source: SourceInput): Promise<{ id: string }> {
  const row = sourceRow(source)
  await db.insert(sources).values(row).onConflictDoUpdate({ target: sources.id, set: row })
  return { id: source.id }
}

/** Removes a source that nothing names any more; refused with what does. */
export async function removeSource(db: Database, id: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [source] = await tx.select({ name: sources.name }).from(sources).where(eq(sources.id, id))
    if (!source) throw new NotFoundError('source', id)
    const said = await usesOfSource(tx, id)
    if (said.length > 0)
      throw new CoreError('source-in-use', { said: said.join(', '), name: source.name }, 'id')
    await tx.delete(sources).where(eq(sources.id, id))
  })
}

/** What names a source, such as `2 leads`; empty: nothing, so that it can go. */
export async function usesOfSource(tx: Queryable, id: string): Promise<string[]> {
  const used = [
    [await tx.$count(leads, eq(leads.sourceId, id)), 'lead', 'leads'],
    [await tx.$count(orders, eq(orders.sourceId, id)), 'order', 'orders'],
    [await tx.$count(shopPrices, eq(shopPrices.sourceId, id)), 'shop price', 'shop prices'],
    [await tx.$count(connectors, eq(connectors.sourceId, id)), 'address', 'addresses'],
  ] as const
  return used.flatMap(([count, one, many]) => (count === 0 ? [] : [`${count} ${count === 1 ? one : many}`]))
}

/** A source as its form states it; null where there is none. */
export async function sourceOf(db: Queryable, id: string): Promise<SourceInput | null> {
  const [row] = await db.select().from(sources).where(eq(sources.id, id))
  if (!row) return null
  const { shippingKind, shippingAmount, shippingFreeFrom, importFreeUnder, ...source } = row
  const decimal = (amount: number) => toDecimal(amount, row.currency)
  return {
    ...source,
    importFreeUnder: decimal(importFreeUnder),
    shipping: {
      kind: shippingKind,
      amount: decimal(shippingAmount),
      freeFrom: shippingFreeFrom === null ? null : decimal(shippingFreeFrom),
    },
  }
}
