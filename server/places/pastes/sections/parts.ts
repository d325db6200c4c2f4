import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { roleNames } from '#core/parts/part'
import { parts as table } from '#server/db/schema/parts'
import type { PasteSection } from '../pasteSection'
import { refuseSecondName } from '../../parts/secondName'
import { unlessUsed } from '../unlessUsed'

/** Parts; one of the same id and role that another tab has made meanwhile is the one that is meant. */
export const parts: PasteSection<'parts'> = {
  async keep(tx, { input }) {
    const made: string[] = []
    for (const [index, part] of input.parts.entries()) {
      const [twin] = await tx.select({ role: table.role }).from(table).where(eq(table.id, part.id))
      await refuseSecondName(tx, part, `parts[${index}].name`)
      if (twin?.role === part.role && !made.includes(part.id)) continue
      if (twin)
        throw new CoreError(
          'part-already-there',
          { name: part.name, role: roleNames[twin.role] },
          `parts[${index}].id`,
        )
      await tx.insert(table).values({ ...part, facts: part.facts as never })
      made.push(part.id)
    }
    return made
  },
  async takeBack(tx, made) {
    for (const id of made) await unlessUsed('a part', () => tx.delete(table).where(eq(table.id, id)))
  },
}
