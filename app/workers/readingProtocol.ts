import type { Grade } from '#core/pricing/street/grade'
import type { PriceQuery } from '#core/reading/titles/priceQuery'
import type { RecordPool } from '#shared/prices/views'

/** A street price tried out: what counts under the query, without the records themselves. */
export interface TriedReading {
  readonly keptIds: readonly string[]
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
  readonly grade: Grade
}

/** What the page and the reading worker say to each other. */
export interface ReadingWorker {
  /** Takes the records to read from; they stay until others come. */
  load(pool: RecordPool): void
  read(query: PriceQuery, onProgress: (done: number, total: number) => void): TriedReading
}
