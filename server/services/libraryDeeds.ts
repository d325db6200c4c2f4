import { eq } from 'drizzle-orm'
import { CoreError } from '#core/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { Role } from '#core/parts/part'
import type { LibraryFile, PartInput, RivalInput, shelfSchema, SourceInput } from '#shared/schemas/entities'
import type { InferType } from 'yup'
import type { Database } from '../db/client'
import { parts, rivals, shelf, sources } from '../db/schema'
import { newId } from './ids'
import { insertRivalRates, rivalRow, sourceRow } from './library'
import { marketChanged } from './market'

/** Changes to the libraries behind all builds. */

/** Adds a part or changes the one with the same id. */
export async function savePart(db: Database, part: PartInput): Promise<{ id: string }> {
  const values = { ...part, facts: part.facts as never }
  await db.insert(parts).values(values).onConflictDoUpdate({ target: parts.id, set: { role: part.role, make: part.make, name: part.name, facts: values.facts } })
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
    await tx.insert(rivals).values(rivalRow(id, rival))
    await insertRivalRates(tx, id, rival)
  })
  return { id }
}

export async function addToShelf(db: Database, thing: InferType<typeof shelfSchema>): Promise<{ id: string }> {
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
  const list = rows.filter((row) => wanted.includes(row) || inside.has(row.id)).map(({ id, role: own, make, name, facts }) => ({ id, role: own, make, name, facts: facts as never }))
  return { format: 'tarvin-library', version: '1', sources: [], parts: list, workloads: [], rivals: [], rates: [], shelf: [], runs: [], tasks: [], taskResults: [], leads: [] }
}
