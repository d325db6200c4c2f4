import { eq } from 'drizzle-orm'
import { readRivals } from '#core/files/import/rivalsFile'
import { partLabel, type Role } from '#core/parts/part'
import type { LineProblem } from '#core/reading/tables/columns'
import { rivalRow } from './rivalRow'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { parts } from '#server/db/schema/parts'
import { rivals } from '#server/db/schema/rivals'
import { rivalSchema } from '#shared/rivals/schemas'
import type { ImportReport } from '#shared/files/importReport'

/** Imports a CSV of rivals in one transaction; CPU and card are found by id or by name, what is not found is reported by line. */
export async function importRivals(db: Database, text: string, currency: string): Promise<ImportReport> {
  const { read, problems } = readRivals(text, currency)
  const rejected: LineProblem[] = [...problems]
  let [added, alreadyThere] = [0, 0]
  await db.transaction(async (tx) => {
    const known = await tx.select().from(parts)
    const byName = (word: string, role: Role) =>
      known.find(
        (part) =>
          part.role === role && (part.id === word || partLabel(part).toLowerCase() === word.toLowerCase()),
      )?.id ?? null
    for (const {
      value: { cpu, graphics, ...stated },
      line,
      raw,
    } of read) {
      const [cpuId, graphicsId] = [
        cpu === '' ? null : byName(cpu, 'cpu'),
        graphics === '' ? null : byName(graphics, 'graphics'),
      ]
      const unknown =
        cpu !== '' && cpuId === null
          ? `no CPU "${cpu}"`
          : graphics !== '' && graphicsId === null
            ? `no card "${graphics}"`
            : null
      if (unknown !== null) {
        rejected.push({ line, code: 'unknown', reason: unknown, raw })
        continue
      }
      const [same] = await tx.select({ id: rivals.id }).from(rivals).where(eq(rivals.name, stated.name))
      if (same) alreadyThere += 1
      else {
        try {
          await tx
            .insert(rivals)
            .values(rivalRow(newId(stated.name), rivalSchema.validateSync({ ...stated, cpuId, graphicsId })))
          added += 1
        } catch (error) {
          if (!(error instanceof Error)) throw error
          rejected.push({ line, code: 'invalid', reason: error.message, raw })
        }
      }
    }
  })
  rejected.sort((a, b) => a.line - b.line)
  return { added, alreadyThere, rejected: rejected.length, problems: rejected.slice(0, 500) }
}
