import { eq } from 'drizzle-orm'
import { sources as table } from '#server/db/schema/sources'
import { usesOfSource } from '../../sources/sources'
import type { PasteSection } from '../pasteSection'

/** The source, where the paste made it; one that something else uses by now stays. */
export const sources: PasteSection<'sources'> = {
  keep: async (_tx, { source }) => (source?.isNew ? [source.id] : []),
  async takeBack(tx, made) {
    for (const id of made)
      if ((await usesOfSource(tx, id)).length === 0) await tx.delete(table).where(eq(table.id, id))
  },
}
