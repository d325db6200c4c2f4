import { and, eq } from 'drizzle-orm'
import type { Database, Queryable } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { exchangeRates } from '#server/db/schema/prices'
import { rivals } from '#server/db/schema/rivals'
import { items } from '#server/db/schema/ledger'
import { ownedItem } from '../shelf/shelf'
import { sources } from '#server/db/schema/sources'
import { workResults, workTasks, workloads } from '#server/db/schema/work'
import type { LibraryFile } from '#shared/parts/libraryFile'
import { insertRun } from '../bench/runs'
import { insertLead } from '../leads/leads'
import { insertRivalRates, rivalNamesParts, rivalRow } from '../rivals/rivalRow'
import { sourceRow } from '../sources/sourceRow'

/** Imports a library file in one transaction. What is there already (same id) stays as it is. */
export async function importLibrary(
  db: Database,
  file: LibraryFile,
): Promise<{ added: number; alreadyThere: number }> {
  const counts = await db.transaction((tx) => insertLibrary(tx, file))
  return counts
}

export async function insertLibrary(
  tx: Queryable,
  file: LibraryFile,
): Promise<{ added: number; alreadyThere: number }> {
  let added = 0
  let wanted = 0
  const count = (result: { rowsAffected: number }) => {
    added += result.rowsAffected
    wanted += 1
    return result.rowsAffected > 0
  }
  for (const source of file.sources)
    count(await tx.insert(sources).values(sourceRow(source)).onConflictDoNothing())
  for (const part of file.parts)
    count(
      await tx
        .insert(parts)
        .values({ ...part, facts: part.facts as never })
        .onConflictDoNothing(),
    )
  for (const { lowShare, presets, upscaling, ...workload } of file.workloads) {
    count(
      await tx
        .insert(workloads)
        .values({
          ...workload,
          lowShareGraphics: lowShare.graphics,
          lowShareCpu: lowShare.cpu,
          presets: presets as never,
          upscaling: upscaling as never,
        })
        .onConflictDoNothing(),
    )
  }
  for (const rate of file.rates) count(await tx.insert(exchangeRates).values(rate).onConflictDoNothing())
  for (const rival of file.rivals) {
    await rivalNamesParts(tx, 'rivals', rival)
    if (count(await tx.insert(rivals).values(rivalRow(rival.id, rival)).onConflictDoNothing()))
      await insertRivalRates(tx, rival.id, rival)
  }
  for (const thing of file.shelf)
    count(await tx.insert(items).values(ownedItem(thing.id, thing)).onConflictDoNothing())
  for (const { id, ...run } of file.runs) count(await insertRun(tx, id, run))
  for (const task of file.tasks) count(await tx.insert(workTasks).values(task).onConflictDoNothing())
  for (const result of file.taskResults)
    count(await tx.insert(workResults).values(result).onConflictDoNothing())
  for (const lead of file.leads) {
    const existing = await tx
      .select({ id: leads.id })
      .from(leads)
      .where(and(eq(leads.sourceId, lead.sourceId), eq(leads.externalId, lead.externalId || lead.id)))
    if (existing.length > 0) wanted += 1
    else {
      await insertLead(tx, lead.id, { ...lead, externalId: lead.externalId || lead.id })
      added += 1
      wanted += 1
    }
  }
  return { added, alreadyThere: wanted - added }
}
