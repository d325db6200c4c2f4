import { inArray, gt, sql } from 'drizzle-orm'
import type { Client } from '@libsql/client'
import { shallowRef } from '@vue/reactivity'
import { RecordIndex } from '#core/pricing/sieve/recordIndex'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import type { Queryable } from '../db/client'
import { soldRecords } from '../db/schema/prices'
import { Rows } from './rows'
import { heldColumns, sqlName, watched, watchedNames, type WatchedName, type WatchedRow } from './watched'

type Reader = Pick<Queryable, 'select'>
export type WorldRows = { readonly [Name in WatchedName]: Rows<WatchedRow<Name>> }

/** A row as a change would have it. */
export type RowEdit = { [Name in EditedName]: Edited<Name> }[EditedName]
type EditedName = 'choices' | 'items' | 'builds' | 'moves' | 'leads' | 'targets' | 'parts' | 'rivals'
interface Edited<Name extends WatchedName> {
  readonly table: Name
  readonly id: string
  /** Null: it is gone. */
  readonly row: WatchedRow<Name> | null
}
interface Row {
  readonly id: string
}

/** Settings that never leave the database: the seal of cookies, the hash of the passphrase. */
const isSecret = (row: object) => 'key' in row && String(row.key).startsWith('secret.')

/** Rows of one table above which it is read whole. */
const mostOneByOne = 500

/**
 * What the database holds, in memory, as of the last commit: readings read nothing else. It is told what was written by
 * the database itself (`noteWrites`), so that nobody who writes has to think of it.
 */
export class World {
  readonly rows: WorldRows
  private index: RecordIndex
  private lastRecord: number
  private readonly recordsCame = shallowRef(0)
  private readonly touched = new Set<WatchedName | 'records'>()

  /**
   * @param base what a transaction began on: the world begins as that, and takes in what the transaction wrote
   * @param own the tables that will be written; of the others those of the base are read
   */
  constructor(
    private readonly base?: World,
    own: ReadonlySet<string> | 'all' = 'all',
  ) {
    const rowsOf = (name: WatchedName) =>
      base && own !== 'all' && !own.has(name) ? base.table(name) : new Rows(base?.table(name))
    this.rows = Object.fromEntries(watchedNames.map((name) => [name, rowsOf(name)])) as unknown as WorldRows
    this.index = base?.index ?? new RecordIndex([])
    this.lastRecord = base?.lastRecord ?? 0
  }

  /** Where a transaction has not written what a reading is made of, that of its base is as good, and known already. */
  unless(written: readonly (WatchedName | 'records')[]): World {
    return this.base && !written.some((each) => this.touched.has(each)) ? this.base.unless(written) : this
  }

  /** This world with some rows otherwise: asked and thrown away, nobody else sees it. */
  with(edits: readonly RowEdit[]): World {
    const names = new Set<WatchedName>(edits.map(({ table }) => table))
    const world = new World(this, names)
    for (const { table, id, row } of edits) (world.table(table) as Rows<Row>).set('id', id, row as Row | null)
    for (const name of names) world.touched.add(name)
    return world
  }

  /** The sold records by their words. */
  get records(): RecordIndex {
    void this.recordsCame.value
    return this.index
  }

  /** Reads everything. */
  async load(db: Reader): Promise<this> {
    const read = await Promise.all(watchedNames.map((name) => numberedRows(db, name)))
    for (const [at, name] of watchedNames.entries()) this.table(name).replace(read[at]!)
    await this.takeRecords(db, 'all')
    return this
  }

  /**
   * Takes in what was written, in one step: nobody sees a half of it.
   *
   * @param noted numbers of rows by their tables, and what befell the sold records
   */
  async take(db: Reader, noted: Noted): Promise<void> {
    const read = await Promise.all(
      [...noted.rows].map(async ([name, numbers]) => {
        const isWhole = numbers.size > mostOneByOne
        const rows = await numberedRows(db, name, isWhole ? undefined : [...numbers])
        return { name, numbers, rows, isWhole }
      }),
    )
    const records = noted.records && (await this.readRecords(db, noted.records))
    for (const { name, numbers, rows, isWhole } of read) {
      this.touched.add(name)
      if (isWhole) this.table(name).replace(rows)
      else {
        const there = new Map(rows)
        this.table(name).put([...numbers].map((number) => [number, there.get(number) ?? null] as const))
      }
    }
    if (records) this.putRecords(records)
  }

  private async takeRecords(db: Reader, which: RecordsNoted): Promise<void> {
    this.putRecords(await this.readRecords(db, which))
  }

  private async readRecords(db: Reader, which: RecordsNoted) {
    // the index of a base is not added to
    const isAdded = which === 'came' && !this.base
    const from = isAdded ? this.lastRecord : 0
    return { isAdded, rows: await db.select().from(soldRecords).where(gt(soldRecords.id, from)) }
  }

  private putRecords({ isAdded, rows }: Awaited<ReturnType<World['readRecords']>>): void {
    this.touched.add('records')
    if (!isAdded) {
      this.index = new RecordIndex([])
      this.lastRecord = 0
    }
    this.index.add(rows.map(toSoldRecord))
    this.lastRecord = rows.reduce((last, { id }) => Math.max(last, id), this.lastRecord)
    this.recordsCame.value += 1
  }

  private table(name: WatchedName): Rows<object> {
    return this.rows[name] as unknown as Rows<object>
  }
}

/** Every column of a stored record but those that say where it came in. */
export function toSoldRecord({
  id,
  externalId: _externalId,
  importId: _importId,
  ...record
}: typeof soldRecords.$inferSelect): SoldRecord {
  return { ...record, id: String(id) }
}

async function numberedRows(
  db: Reader,
  name: WatchedName,
  numbers?: readonly number[],
): Promise<(readonly [number, object])[]> {
  const number = sql<number>`rowid`
  const asked = db.select({ ...heldColumns(name), rowNumber: number }).from(watched[name])
  const rows = await (numbers === undefined ? asked : asked.where(inArray(number, [...numbers])))
  return rows.flatMap(({ rowNumber, ...row }) =>
    isSecret(row) ? [] : [[rowNumber as unknown as number, frozen(row)] as const],
  )
}

/** In tests nobody can change what everybody reads. */
const frozen = process.env.VITEST ? deeplyFrozen : <T>(row: T): T => row

function deeplyFrozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value)
    for (const each of Object.values(value)) deeplyFrozen(each)
  }
  return value
}

type RecordsNoted = 'came' | 'all'

/** What was written since it was last asked for. */
export interface Noted {
  readonly rows: ReadonlyMap<WatchedName, ReadonlySet<number>>
  readonly records: RecordsNoted | null
}

/**
 * From now on the connection notes which rows it writes: by any statement, cascades and undone actions among them, in
 * the same transaction, so that what is rolled back was never noted. Of sold records it notes whether some came, or
 * changed and went, not each.
 */
export async function noteWrites(writer: Client): Promise<void> {
  const sold = "SELECT 'sold_records'"
  const once = (mark: number) =>
    `INSERT INTO noted (tbl, number) ${sold}, ${mark} WHERE NOT EXISTS (SELECT 1 FROM noted WHERE tbl = 'sold_records' AND number = ${mark})`
  await writer.executeMultiple(
    [
      'CREATE TEMP TABLE IF NOT EXISTS noted (tbl TEXT NOT NULL, number INTEGER NOT NULL,' +
        ' mark INTEGER NOT NULL DEFAULT (random() & 4294967295))',
      ...watchedNames.flatMap((name) => {
        const table = sqlName(name)
        return (['INSERT', 'UPDATE', 'DELETE'] as const).map((verb) => {
          const row = verb === 'DELETE' ? 'OLD' : 'NEW'
          return `CREATE TEMP TRIGGER IF NOT EXISTS note_${verb}_${table} AFTER ${verb} ON main.${table} BEGIN INSERT INTO noted (tbl, number) VALUES ('${table}', ${row}.rowid); END`
        })
      }),
      `CREATE TEMP TRIGGER IF NOT EXISTS note_INSERT_sold AFTER INSERT ON main.sold_records BEGIN ${once(1)}; END`,
      ...['UPDATE', 'DELETE'].map(
        (verb) =>
          `CREATE TEMP TRIGGER IF NOT EXISTS note_${verb}_sold AFTER ${verb} ON main.sold_records BEGIN ${once(0)}; END`,
      ),
      '',
    ].join(';\n'),
  )
}

const nameOfTable = new Map(watchedNames.map((name) => [sqlName(name), name]))

/** What was noted, which is forgotten by that. Asked on the connection that notes. */
export async function takeNoted(writer: Pick<Client, 'execute'>): Promise<Noted | null> {
  const { rows } = await writer.execute('SELECT tbl, number FROM temp.noted')
  if (rows.length === 0) return null
  await writer.execute('DELETE FROM temp.noted')
  return notedIn(rows.map(({ tbl, number }) => ({ tbl: String(tbl), number: Number(number) })))
}

/** The same of rows that were read from where it is noted. */
export function notedIn(written: readonly { readonly tbl: string; readonly number: number }[]): Noted {
  const rows = new Map<WatchedName, Set<number>>()
  let records: RecordsNoted | null = null
  for (const { tbl, number } of written) {
    const name = nameOfTable.get(tbl)
    if (name) rows.set(name, (rows.get(name) ?? new Set()).add(number))
    else if (records !== 'all') records = number === 0 ? 'all' : 'came'
  }
  return { rows, records }
}
