import type { Change } from '#core/whatif/change'
import { assertCalculable } from '#server/context/assertCalculable'
import { buildRow, rootIdOf } from '#server/context/findBuild'
import { actIn, type OpenAction } from '#server/db/action'
import type { Database, Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { builds } from '#server/db/schema/builds'
import { items, moves } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { useWorld } from '#server/readings/useWorld'
import type { RowEdit, World } from '#server/readings/world'
import { editsOf } from './editsOf'

interface Carrying {
  readonly today: string
  /** What is told of it, for the list of what was done. */
  readonly text: string
  /** The member that a refusal names where the build could not be calculated after it. */
  readonly path: string
}

/**
 * Carries changes of a build out: the same rows that a what-if has looked at, in one action, so that one undo takes all
 * of it back.
 *
 * @returns the action; and ids of what was made, by the number of the change that made it
 */
export async function carryOut(
  db: Pick<Database, 'transaction'>,
  buildId: string,
  changes: readonly Change[],
  { today, text, path }: Carrying,
): Promise<{ readonly action: number; readonly ids: readonly string[] }> {
  return db.transaction(async (tx) => {
    const { world, edits, ids } = await edited(tx, buildId, changes, today)
    const of = { kind: 'change', text, day: today, buildId: rootIdOf(world, buildRow(world, buildId)) }
    const action = await actIn(tx, of, today, async (open) => {
      for (const edit of edits) await writeEdit(open, world, edit)
      return open.id
    })
    await assertCalculable(tx, buildId, today, path)
    return { action, ids }
  })
}

/** The same as a part of something larger that is taken back as a whole, and comes in as it was: a file, a paste. */
export async function carryOutWithin(
  tx: Queryable,
  buildId: string,
  changes: readonly Change[],
  today: string,
): Promise<readonly string[]> {
  const { edits, ids } = await edited(tx, buildId, changes, today, true)
  for (const { table, row } of edits) {
    const into = tables[table] as typeof choices
    await tx
      .insert(into)
      .values(row as never)
      .onConflictDoUpdate({ target: into.id, set: row as never })
  }
  return ids
}

const tables = { builds, choices, items, moves }

/** What an action of a build writes; what a seller says, a brief or a rival is written by its own form. */
type CarriedEdit = Extract<RowEdit, { table: keyof typeof tables }>
const isCarried = (edit: RowEdit): edit is CarriedEdit => edit.table in tables

async function edited(
  tx: Queryable,
  buildId: string,
  changes: readonly Change[],
  today: string,
  takesUnpriced = false,
) {
  const world = await useWorld(tx)
  const ids = changes.map(() => newId('choice'))
  const edits = editsOf(world, buildId, changes, {
    today,
    takesUnpriced,
    now: new Date().toISOString(),
    idOf: (change) => ids[change]!,
  })
  return { world, edits: edits.filter(isCarried), ids }
}

async function writeEdit(
  action: OpenAction,
  { rows }: World,
  { table, id, row }: CarriedEdit,
): Promise<void> {
  const there: { one(column: 'id', value: string): object | undefined } = rows[table]
  if (there.one('id', id)) await action.update(table, id, row as never)
  else await action.insert(table, row as never)
}
