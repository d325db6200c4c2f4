import { and, eq, isNull } from 'drizzle-orm'
import type { Queryable } from '../db/client'
import { actions, ledgerEntries } from '../db/schema/ledger'

export type EntryRow = typeof ledgerEntries.$inferSelect

/** The entries of a build that count, by day: what an action wrote that was undone counts nowhere. */
export async function standingEntries(db: Pick<Queryable, 'select'>, buildId: string): Promise<EntryRow[]> {
  const rows = await db
    .select({ entry: ledgerEntries })
    .from(ledgerEntries)
    .leftJoin(actions, eq(actions.id, ledgerEntries.actionId))
    .where(and(eq(ledgerEntries.buildId, buildId), isNull(actions.undoneOn)))
    .orderBy(ledgerEntries.day, ledgerEntries.id)
  return rows.map(({ entry }) => entry)
}
