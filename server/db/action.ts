import { and, eq, gt, isNull, max } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { Database, Queryable } from './client'
import { builds } from './schema/builds'
import { codes, leads, rebates } from './schema/leads'
import { actions, items, moves, orderLines, orders, sales, trips, type RowImage } from './schema/ledger'
import { choices } from './schema/machine'
import { sources } from './schema/sources'
import { NotFoundError } from '../errors/notFoundError'

/** Tables whose rows have lives: what an action writes into them is remembered row by row. */
const lives = {
  builds,
  leads,
  codes,
  rebates,
  sources,
  choices,
  trips,
  orders,
  orderLines,
  items,
  moves,
  sales,
}
type Lives = typeof lives
export type LifeTable = keyof Lives
type RowOf<T extends LifeTable> = Lives[T]['$inferSelect']
type NewRowOf<T extends LifeTable> = Lives[T]['$inferInsert']

/** All life tables have a text `id`; seen as one of them, so that one query serves all. */
const tableOf = (name: string) => lives[name as LifeTable] as unknown as typeof items

export interface ActionOf {
  readonly kind: string
  readonly text: string
  readonly day: string
  readonly buildId: string | null
}

/** The number of the newest action; 0 where there is none. */
export async function newestAction(tx: Pick<Queryable, 'select'>): Promise<number> {
  const [row] = await tx.select({ id: max(actions.id) }).from(actions)
  return row?.id ?? 0
}

/** One action in the making: it writes through this, so that every row it touches is remembered. */
export class OpenAction {
  private readonly images = new Map<string, RowImage>()

  constructor(
    readonly tx: Queryable,
    readonly id: number,
    readonly day: string,
    readonly today: string,
  ) {}

  get rows(): RowImage[] {
    return [...this.images.values()]
  }

  /** Says in words what was done, once it is known. */
  async name(text: string, buildId: string | null): Promise<void> {
    await this.tx.update(actions).set({ text, buildId }).where(eq(actions.id, this.id))
  }

  async insert<T extends LifeTable>(table: T, row: NewRowOf<T>): Promise<void> {
    await this.tx.insert(tableOf(table)).values(row as never)
    this.note(table, (row as { id: string }).id, null, await this.read(table, (row as { id: string }).id))
  }

  async update<T extends LifeTable>(table: T, id: string, change: Partial<NewRowOf<T>>): Promise<void> {
    const before = await this.read(table, id)
    if (!before) throw new NotFoundError(`row of ${table}`, id)
    await this.tx
      .update(tableOf(table))
      .set(change as never)
      .where(eq(tableOf(table).id, id))
    this.note(table, id, before, await this.read(table, id))
  }

  private async read<T extends LifeTable>(table: T, id: string): Promise<RowOf<T> | null> {
    return readRow(this.tx, table, id) as Promise<RowOf<T> | null>
  }

  /** Of two changes to one row, the first state and the last count. */
  private note(table: string, id: string, before: object | null, after: object | null): void {
    const key = `${table} ${id}`
    const earlier = this.images.get(key)
    this.images.set(key, {
      table,
      id,
      before: (earlier ? earlier.before : before) as never,
      after: after as never,
    })
  }
}

async function readRow(tx: Queryable, table: string, id: string): Promise<Record<string, unknown> | null> {
  const [row] = await tx
    .select()
    .from(tableOf(table))
    .where(eq(tableOf(table).id, id))
  return row ?? null
}

/**
 * Does one action in one transaction: all it writes stands or nothing does, and it can be undone. A refusal inside
 * leaves nothing behind.
 */
export async function act<T>(
  db: Database,
  { kind, text, day, buildId }: ActionOf,
  today: string,
  work: (action: OpenAction) => Promise<T>,
): Promise<T> {
  return db.transaction(async (tx) => actIn(tx, { kind, text, day, buildId }, today, work))
}

/** The same as a part of a larger transaction. */
export async function actIn<T>(
  tx: Queryable,
  { kind, text, day, buildId }: ActionOf,
  today: string,
  work: (action: OpenAction) => Promise<T>,
): Promise<T> {
  if (day > today) throw new CoreError('future-date', { day }, 'day')
  const [made] = await tx
    .insert(actions)
    .values({ kind, text, day, buildId, rows: [], createdAt: today })
    .returning({ id: actions.id })
  const action = new OpenAction(tx, made!.id, day, today)
  const result = await work(action)
  await tx.update(actions).set({ rows: action.rows }).where(eq(actions.id, action.id))
  return result
}

/**
 * Takes an action back: its rows are as they were, and the entries it wrote count nowhere any more. Refused, naming
 * it, where a later action that stands wrote one of its rows or points to one it made; and where something else has
 * changed since what it would put back.
 */
export async function undo(db: Database, actionId: number, today: string): Promise<string | null> {
  return db.transaction(async (tx) => undoIn(tx, actionId, today))
}

/** The same as a part of a larger transaction. */
export async function undoIn(tx: Queryable, actionId: number, today: string): Promise<string | null> {
  const [action] = await tx.select().from(actions).where(eq(actions.id, actionId))
  if (!action) throw new NotFoundError('action', actionId)
  if (action.undoneOn !== null) throw new CoreError('undone', {}, 'id')
  await refuseBuiltUpon(tx, actionId, action.rows)
  for (const image of [...action.rows].reverse()) await putBack(tx, image, today)
  await tx.update(actions).set({ undoneOn: today }).where(eq(actions.id, actionId))
  return action.buildId
}

async function refuseBuiltUpon(tx: Queryable, actionId: number, rows: readonly RowImage[]): Promise<void> {
  const later = await tx
    .select()
    .from(actions)
    .where(and(gt(actions.id, actionId), isNull(actions.undoneOn)))
    .orderBy(actions.id)
  for (const { text, day, rows: theirs } of later) {
    const written = JSON.stringify(theirs)
    if (
      rows.some(({ table, id }) => theirs.some((each) => each.table === table && each.id === id)) ||
      rows.some(({ before, id }) => before === null && written.includes(JSON.stringify(id)))
    )
      throw new CoreError('built-upon', { text, day }, 'id')
  }
}

async function putBack(tx: Queryable, { table, id, before, after }: RowImage, today: string): Promise<void> {
  const now = await readRow(tx, table, id)
  const changed = Object.keys(after ?? {}).filter(
    (key) => before === null || JSON.stringify(before[key]) !== JSON.stringify(after![key]),
  )
  if (
    now &&
    after &&
    changed.some((key) => before !== null && JSON.stringify(now[key]) !== JSON.stringify(after[key]))
  )
    throw new CoreError('changed-since', {}, 'id')
  // targets and more may hang on a build: it is archived, not removed
  if (before === null && table === 'builds')
    await tx.update(builds).set({ deletedAt: today }).where(eq(builds.id, id))
  else if (before === null) await tx.delete(tableOf(table)).where(eq(tableOf(table).id, id))
  else if (changed.length > 0)
    await tx
      .update(tableOf(table))
      .set(Object.fromEntries(changed.map((key) => [key, before[key]])) as never)
      .where(eq(tableOf(table).id, id))
}
