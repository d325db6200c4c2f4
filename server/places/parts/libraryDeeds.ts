import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { LineProblem } from '#core/reading/tables/columns'
import { readRivals } from '#core/files/import/rivalsFile'
import { parseDecimal } from '#core/money/decimal'
import { partLabel, type Role } from '#core/parts/part'
import {
  rivalSchema,
  type LibraryFile,
  type PartInput,
  type RivalInput,
  type shelfSchema,
  type SourceInput,
} from '#shared/entities'
import type { InferType } from 'yup'
import type { Database } from '#server/db/client'
import { parts, rivalRates, rivals, shelf, sources } from '#server/db/schema'
import { NotFoundError } from '#server/http/errors'
import { newId } from '#server/db/ids'
import type { ImportReport } from '../prices/importRecords'
import {
  insertRivalRates,
  rivalInput,
  rivalNamesParts,
  rivalRow,
  sourceRow,
} from '#server/context/libraryFile'
import { marketChanged } from '#server/context/market'

/** Changes to the libraries behind all builds. */

/** Adds a part or changes the one with the same id. */
export async function savePart(db: Database, part: PartInput): Promise<{ id: string }> {
  const values = { ...part, facts: part.facts as never }
  await db
    .insert(parts)
    .values(values)
    .onConflictDoUpdate({
      target: parts.id,
      set: { role: part.role, make: part.make, name: part.name, facts: values.facts },
    })
  marketChanged(db)
  return { id: part.id }
}

export async function saveSource(db: Database, source: SourceInput): Promise<{ id: string }> {
  const row = sourceRow(source)
  await db.insert(sources).values(row).onConflictDoUpdate({ target: sources.id, set: row })
  marketChanged(db)
  return { id: source.id }
}

export async function createRival(db: Database, rival: RivalInput): Promise<{ id: string }> {
  const id = newId(rival.name)
  await db.transaction(async (tx) => {
    await rivalNamesParts(tx, '', rival)
    await tx.insert(rivals).values(rivalRow(id, rival))
    await insertRivalRates(tx, id, rival)
  })
  return { id }
}

/** Changes what is said of a rival; its stated results are replaced as a whole. */
export async function changeRival(db: Database, id: string, rival: RivalInput): Promise<{ id: string }> {
  await db.transaction(async (tx) => {
    await rivalNamesParts(tx, '', rival)
    const { rowsAffected } = await tx.update(rivals).set(rivalRow(id, rival)).where(eq(rivals.id, id))
    if (rowsAffected === 0) throw new NotFoundError(`there is no rival "${id}"`)
    await tx.delete(rivalRates).where(eq(rivalRates.rivalId, id))
    await insertRivalRates(tx, id, rival)
  })
  return { id }
}

export async function setRivalDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(rivals).set({ deletedAt }).where(eq(rivals.id, id))
  if (rowsAffected === 0) throw new NotFoundError(`there is no rival "${id}"`)
}

/** Imports a CSV of rivals in one transaction; CPU and card are found by id or by name, what is not found is reported by line. */
export async function importRivals(db: Database, text: string): Promise<ImportReport> {
  const { read, problems } = readRivals(text)
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

/** A rival as its form states it. */
export async function rivalOf(db: Database, id: string): Promise<RivalInput> {
  const [row] = await db.select().from(rivals).where(eq(rivals.id, id))
  if (!row) throw new NotFoundError(`there is no rival "${id}"`)
  return rivalInput(row, await db.select().from(rivalRates).where(eq(rivalRates.rivalId, id)))
}

export async function addToShelf(
  db: Database,
  thing: InferType<typeof shelfSchema>,
): Promise<{ id: string }> {
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, thing.partId))
  if (!part) throw new CoreError('unknown-part', `"${thing.partId}" is not in the parts library`, 'partId')
  const id = newId(thing.partId)
  await db.insert(shelf).values({ ...thing, id, cost: parseDecimal(thing.cost, thing.currency, 'cost') })
  return { id }
}

/** The parts as a library file, all or of one role; a donor's own parts go with it. */
export async function exportParts(db: Database, role?: Role): Promise<LibraryFile> {
  const rows = await db.select().from(parts).orderBy(parts.role, parts.name)
  const wanted = rows.filter((row) => role === undefined || row.role === role)
  const inside = new Set(wanted.flatMap((row) => row.facts.contains ?? []))
  const list = rows
    .filter((row) => wanted.includes(row) || inside.has(row.id))
    .map(({ id, role: own, make, name, facts }) => ({ id, role: own, make, name, facts: facts as never }))
  return {
    format: 'tarvin-library',
    version: '1',
    sources: [],
    parts: list,
    workloads: [],
    rivals: [],
    rates: [],
    shelf: [],
    runs: [],
    tasks: [],
    taskResults: [],
    leads: [],
  }
}
