import { eq } from 'drizzle-orm'
import type { Role } from '#core/parts/part'
import type { Database, Queryable } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import { exchangeRates } from '#server/db/schema/prices'
import { workloads, workTasks } from '#server/db/schema/work'
import type { LibraryFile } from '#shared/parts/libraryFile'
import type { PartInput } from '#shared/parts/schemas'
import { gameOfRow } from '../work/games'

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
  return { id: part.id }
}

/** A part as its form states it; null where there is none. */
export async function partOf(db: Queryable, id: string): Promise<PartInput | null> {
  const [row] = await db.select().from(parts).where(eq(parts.id, id))
  return row
    ? { id, role: row.role, make: row.make, name: row.name, facts: row.facts as never, open: row.open }
    : null
}

/** The parts as a library file, all or of one role; a donor's own parts go with it. */
export async function exportParts(db: Database, role?: Role): Promise<LibraryFile> {
  const rows = await db.select().from(parts).orderBy(parts.role, parts.name)
  const wanted = rows.filter((row) => role === undefined || row.role === role)
  const inside = new Set(wanted.flatMap((row) => row.facts.contains ?? []))
  const list = rows
    .filter((row) => wanted.includes(row) || inside.has(row.id))
    .map(({ id, role: own, make, name, facts, open }) => ({
      id,
      role: own,
      make,
      name,
      facts: facts as never,
      open,
    }))
  const others = role === undefined ? await otherLibraries(db) : { workloads: [], tasks: [], rates: [] }
  return {
    format: 'tarvin-library',
    version: '1',
    sources: [],
    parts: list,
    ...others,
    rivals: [],
    shelf: [],
    runs: [],
    taskResults: [],
    leads: [],
  }
}

/** Games, other work and rates that go with the parts, so that whoever opens the file sees the same estimates. */
async function otherLibraries(db: Database): Promise<Pick<LibraryFile, 'workloads' | 'tasks' | 'rates'>> {
  const [games, tasks, rates] = await Promise.all([
    db.select().from(workloads).orderBy(workloads.name),
    db.select().from(workTasks).orderBy(workTasks.name),
    db.select().from(exchangeRates).orderBy(exchangeRates.date),
  ])
  return {
    workloads: games.map(gameOfRow),
    tasks,
    rates: rates.map(({ date, from, to, rate }) => ({ date, from, to, rate })),
  }
}
