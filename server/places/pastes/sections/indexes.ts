import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parts } from '#server/db/schema/parts'
import type { PasteSection } from '../pasteSection'

/** The indexes of a table of scores, with what stood there before; one that was changed by hand since stays. */
export const indexes: PasteSection<'indexes'> = {
  async keep(tx, { input }) {
    const before = []
    for (const [index, { partId, fact, value }] of input.indexes.entries()) {
      const [part] = await tx.select().from(parts).where(eq(parts.id, partId))
      if (!part) throw new CoreError('unknown-part', { id: partId }, `indexes[${index}].partId`)
      before.push({ partId, fact, before: part.facts[fact] ?? null, after: value })
      const facts = { ...part.facts, [fact]: value }
      await tx.update(parts).set({ facts }).where(eq(parts.id, partId))
    }
    return before
  },
  async takeBack(tx, made = []) {
    for (const { partId, fact, before, after } of made) {
      const [part] = await tx.select().from(parts).where(eq(parts.id, partId))
      if (!part || part.facts[fact] !== after) continue
      const { [fact]: _, ...rest } = part.facts
      const facts = before === null ? rest : { ...rest, [fact]: before }
      await tx.update(parts).set({ facts }).where(eq(parts.id, partId))
    }
  },
}
