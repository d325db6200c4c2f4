import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { Queryable } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import type { PasteInput, PasteMade } from '#shared/pastes/schemas'

/** Writes the indexes of a table of scores; answers what stood there before, so that an undo puts it back. */
export async function setIndexes(
  tx: Queryable,
  { indexes }: Pick<PasteInput, 'indexes'>,
): Promise<NonNullable<PasteMade['indexes']>> {
  const before = []
  for (const [index, { partId, fact, value }] of indexes.entries()) {
    const [part] = await tx.select().from(parts).where(eq(parts.id, partId))
    if (!part) throw new CoreError('unknown-part', { id: partId }, `indexes[${index}].partId`)
    before.push({ partId, fact, before: part.facts[fact] ?? null, after: value })
    await tx
      .update(parts)
      .set({ facts: { ...part.facts, [fact]: value } })
      .where(eq(parts.id, partId))
  }
  return before
}

/** Puts back what stood there before; an index that was changed by hand since stays. */
export async function putIndexesBack(
  tx: Queryable,
  indexes: NonNullable<PasteMade['indexes']>,
): Promise<void> {
  for (const { partId, fact, before, after } of indexes) {
    const [part] = await tx.select().from(parts).where(eq(parts.id, partId))
    if (!part || part.facts[fact] !== after) continue
    const { [fact]: _, ...rest } = part.facts
    await tx
      .update(parts)
      .set({ facts: before === null ? rest : { ...rest, [fact]: before } })
      .where(eq(parts.id, partId))
  }
}
