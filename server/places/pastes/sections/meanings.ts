import { eq } from 'drizzle-orm'
import { sources } from '#server/db/schema/sources'
import type { PasteSection } from '../pasteSection'

/** What was said once about the words of a source, so that it is not asked again. */
export const meanings: PasteSection<'meanings'> = {
  async keep(tx, { input: { meanings: said }, source }) {
    if (said === null || source === null) return undefined
    const own = eq(sources.id, source.id)
    const [{ before } = { before: null }] = await tx
      .select({ before: sources.meanings })
      .from(sources)
      .where(own)
    const joined = {
      manner: { ...before?.manner, ...said.manner },
      condition: { ...before?.condition, ...said.condition },
    }
    await tx.update(sources).set({ meanings: joined }).where(own)
    return { sourceId: source.id, before }
  },
  async takeBack(tx, made) {
    if (made) await tx.update(sources).set({ meanings: made.before }).where(eq(sources.id, made.sourceId))
  },
}
