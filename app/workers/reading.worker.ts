import { expose } from 'comlink'
import { streetPrice } from '#core/pricing/street/streetPrice'
import type { ReadingWorker } from './readingProtocol'
import type { RecordPool } from '#shared/prices/views'

let pool: RecordPool = { records: [], overrides: {}, rates: [] }

const worker: ReadingWorker = {
  load(next) {
    pool = next
  },
  read(query, onProgress) {
    const { kept, marks, grade } = streetPrice(query, pool.records, {
      rates: pool.rates,
      overrides: pool.overrides,
      missingRate: 'drop',
      onProgress,
    })
    return { keptIds: kept.map((comp) => comp.id), marks, grade }
  },
}
expose(worker)
