import type { Grade } from '#core/pricing/street/grade'
import type { PriceQuery } from '#core/reading/titles/priceQuery'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import type { Override } from '#core/pricing/street/streetPrice'
import type { ExchangeRate } from '#core/money/rates'

/** What the page and the reading worker say to each other. */
export interface RecordPool {
  readonly records: readonly SoldRecord[]
  readonly overrides: Readonly<Record<string, Override>>
  readonly rates: readonly ExchangeRate[]
}

/** A street price tried out: what counts under the query, without the records themselves. */
export interface TriedReading {
  readonly keptIds: readonly string[]
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
  readonly grade: Grade
}

export interface ReadingWorker {
  /** Takes the records to read from; they stay until others come. */
  load(pool: RecordPool): void
  read(query: PriceQuery, onProgress: (done: number, total: number) => void): TriedReading
}
