import { sourceRow } from './sourceRow'
import { marketChanged } from '#server/context/market'
import { eq } from 'drizzle-orm'
import { toDecimal } from '#core/money/decimal'
import type { Database, Queryable } from '#server/db/client'
import { sources } from '#server/db/schema/sources'
import type { SourceInput } from '#shared/sources/schemas'

export async function saveSource(db: Database, source: SourceInput): Promise<{ id: string }> {
  const row = sourceRow(source)
  await db.insert(sources).values(row).onConflictDoUpdate({ target: sources.id, set: row })
  marketChanged(db)
  return { id: source.id }
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
