import type { Queryable } from '../db/client'
import type { ledgerEntries } from '../db/schema/ledger'
import { reading, sameMembers } from '../readings/reading'
import { useWorld } from '../readings/useWorld'

export type EntryRow = typeof ledgerEntries.$inferSelect

/** The entries of a build that count, by day: what an action wrote that was undone counts nowhere. */
export const entriesOf = reading(
  'standing entries',
  (world, buildId: string): readonly EntryRow[] => {
    const { ledgerEntries, actions } = world.rows
    const isUndone = ({ actionId }: EntryRow) =>
      actionId !== null && (actions.one('id', actionId)?.undoneOn ?? null) !== null
    return ledgerEntries
      .where('buildId', buildId)
      .filter((entry) => !isUndone(entry))
      .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1))
  },
  { same: sameMembers },
)

export async function standingEntries(
  db: Pick<Queryable, 'select'>,
  buildId: string,
): Promise<readonly EntryRow[]> {
  return entriesOf(await useWorld(db), buildId)
}
