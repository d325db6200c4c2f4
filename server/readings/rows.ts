import { isDeepStrictEqual } from 'node:util'
import { computed, shallowRef, type ShallowRef } from '@vue/reactivity'

const numberOf = new WeakMap<object, number>()

/** The order in which rows of one table stand. */
export const byNumber = (a: object, b: object): number => numberOf.get(a)! - numberOf.get(b)!

/**
 * The rows of one table in memory, in the order of their rowids. Who reads them inside a reading is told when they
 * change: of a column by value only who asked for that value. A row that is written as it was tells nobody.
 */
export class Rows<Row extends object> {
  private readonly byNumber: Map<number, Row>
  private readonly columns = new Map<keyof Row, Map<unknown, ShallowRef<readonly Row[]>>>()
  private readonly changes = shallowRef(0)
  private readonly inOrder = computed<readonly Row[]>(() => {
    void this.changes.value
    return [...this.byNumber].sort(([a], [b]) => a - b).map(([, row]) => row)
  })

  /**
   * @param like rows to begin with: those of another, which stays as it is; whoever reads these is told of its changes
   * too, for then they are no longer what they were made from
   */
  constructor(private readonly like?: Rows<Row>) {
    this.byNumber = new Map(like?.byNumber)
  }

  /** Every row. Whoever reads all of them is told of every change: give such a reading a `same`. */
  all(): readonly Row[] {
    this.like?.all()
    return this.inOrder.value
  }

  /** The rows with a value in a column. */
  where<Column extends keyof Row>(column: Column, value: Row[Column]): readonly Row[] {
    this.like?.where(column, value)
    const buckets = this.bucketsOf(column)
    let bucket = buckets.get(value)
    if (!bucket) buckets.set(value, (bucket = shallowRef<readonly Row[]>([])))
    return bucket.value
  }

  /** The first row with a value in a column. */
  one<Column extends keyof Row>(column: Column, value: Row[Column]): Row | undefined {
    return this.where(column, value)[0]
  }

  /** Takes in rows by their numbers; null: it is gone. */
  put(written: Iterable<readonly [number, Row | null]>): void {
    const changed: {
      readonly number: number
      readonly before: Row | undefined
      readonly after: Row | null
    }[] = []
    for (const [number, after] of written) {
      const before = this.byNumber.get(number)
      if (after === null ? before === undefined : isDeepStrictEqual(before, after)) continue
      changed.push({ number, before, after })
      if (after === null) this.byNumber.delete(number)
      else {
        this.byNumber.set(number, after)
        numberOf.set(after, number)
      }
    }
    if (changed.length === 0) return
    for (const [column, buckets] of this.columns) {
      const touched = new Set(
        changed.flatMap(({ before, after }) => [
          ...(before ? [before[column]] : []),
          ...(after ? [after[column]] : []),
        ]),
      )
      const gone = new Set(changed.flatMap(({ before }) => before ?? []))
      for (const value of touched) {
        const came = changed.flatMap(({ after }) => (after && after[column] === value ? [after] : []))
        const stay = (buckets.get(value)?.value ?? []).filter((row) => !gone.has(row))
        const rows = [...stay, ...came].sort(byNumber)
        const bucket = buckets.get(value)
        if (bucket) bucket.value = rows
        else buckets.set(value, shallowRef<readonly Row[]>(rows))
      }
    }
    this.changes.value += 1
  }

  /** Puts one row in the place of that with a value in a column, or behind all others where there is none; null: it goes. */
  set<Column extends keyof Row>(column: Column, value: Row[Column], row: Row | null): void {
    const there = this.one(column, value)
    const number = there ? numberOf.get(there)! : Math.max(0, ...this.byNumber.keys()) + 1
    this.put([[number, row]])
  }

  /** Takes the place of all there was. */
  replace(rows: Iterable<readonly [number, Row]>): void {
    const now = new Map(rows)
    const gone = [...this.byNumber.keys()].filter((number) => !now.has(number))
    this.put([...gone.map((number) => [number, null] as const), ...now])
  }

  private bucketsOf(column: keyof Row): Map<unknown, ShallowRef<readonly Row[]>> {
    let buckets = this.columns.get(column)
    if (buckets) return buckets
    const rows = new Map<unknown, Row[]>()
    for (const [, row] of [...this.byNumber].sort(([a], [b]) => a - b)) {
      const list = rows.get(row[column])
      if (list) list.push(row)
      else rows.set(row[column], [row])
    }
    buckets = new Map([...rows].map(([value, list]) => [value, shallowRef<readonly Row[]>(list)]))
    this.columns.set(column, buckets)
    return buckets
  }
}
