import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { items } from '#server/db/schema/ledger'
import { parts } from '#server/db/schema/parts'
import type { shelfSchema } from '#shared/shelf/schemas'

/** A thing owned before any build paid for it, as it stands on the shelf. */
export function ownedItem(
  id: string,
  { partId, condition, cost, currency, note }: InferType<typeof shelfSchema>,
): typeof items.$inferInsert {
  const amount = parseDecimal(cost, currency, 'cost')
  return {
    id,
    partId,
    condition,
    place: 'shelf',
    state: 'works',
    scope: 'core',
    plan: 'keep',
    isBuiltIn: false,
    currency,
    cost: amount,
    remaining: amount,
    note,
  }
}

export async function addToShelf(
  db: Database,
  thing: InferType<typeof shelfSchema>,
): Promise<{ id: string }> {
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, thing.partId))
  if (!part) throw new CoreError('unknown-part', { id: thing.partId }, 'partId')
  const id = newId(thing.partId)
  await db.insert(items).values(ownedItem(id, thing))
  return { id }
}
