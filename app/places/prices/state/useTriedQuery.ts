import { proxy, wrap, type Remote } from 'comlink'
import { useDebounceFn } from '@vueuse/core'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import type { PriceView, RecordPool } from '#shared/prices/views'
import { call } from '~/data/call'
import type { ReadingWorker, TriedReading } from '~/workers/readingProtocol'
import ReadingWorkerFile from '~/workers/reading.worker?worker'

/** What a changed query would do: who comes, who goes, and the marks it would give. */
export interface TriedQuery {
  readonly reading: TriedReading
  readonly came: readonly SoldRecord[]
  readonly went: readonly SoldRecord[]
}

/**
 * Tries a query out in a worker while it is being written. The newest question wins: an answer to an older one is
 * dropped. Cancelling ends the worker in the middle of its work; the next question starts another.
 */
export function useTriedQuery(view: () => PriceView) {
  const tried = shallowRef<TriedQuery | null>(null)
  const progress = ref<number | null>(null)
  const failed = ref('')
  let worker: Worker | null = null
  let remote: Remote<ReadingWorker> | null = null
  let loadedFor = ''
  let pool: RecordPool = { records: [], overrides: {}, rates: [] }
  let question = 0

  async function loaded(must: readonly string[]): Promise<Remote<ReadingWorker>> {
    const key = `${view().partId} ${must.join('|')} ${view().records.length}`
    if (!remote || !worker) {
      worker = new ReadingWorkerFile()
      remote = wrap<ReadingWorker>(worker)
      loadedFor = ''
    }
    if (loadedFor !== key) {
      pool = await call(
        'POST /api/builds/:id/prices/parts/:part/pool',
        { id: useBuild().view!.id, part: view().partId },
        { must },
      )
      await remote.load(pool)
      loadedFor = key
    }
    return remote
  }

  async function ask(query: PartQuery) {
    const own = ++question
    failed.value = ''
    progress.value = 0
    try {
      const reader = await loaded(query.must)
      if (own !== question) return
      const reading = await reader.read(
        { ...JSON.parse(JSON.stringify(query)), asOf: view().asOf, currency: view().currency },
        proxy((done, total) => {
          if (own === question) progress.value = total === 0 ? 1 : done / total
        }),
      )
      if (own === question) tried.value = compare(reading)
    } catch (error) {
      if (own === question) failed.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (own === question) progress.value = null
    }
  }

  function compare(reading: TriedReading): TriedQuery {
    const now = new Set(reading.keptIds)
    const before = new Set(
      view()
        .records.filter((record) => record.unitPrice !== null)
        .map((record) => String(record.id)),
    )
    const gone = view().records.filter(
      (record) => before.has(String(record.id)) && !now.has(String(record.id)),
    )
    return {
      reading,
      came: pool.records.filter((record) => now.has(record.id) && !before.has(record.id)),
      went: gone.map((record) => ({ ...record, id: String(record.id), quantity: record.quantity ?? 1 })),
    }
  }

  function cancel() {
    question += 1
    worker?.terminate()
    worker = null
    remote = null
    progress.value = null
  }
  function clear() {
    question += 1
    tried.value = null
    progress.value = null
  }
  onScopeDispose(cancel)
  return {
    tried: readonly(tried),
    progress: readonly(progress),
    failed: readonly(failed),
    ask: useDebounceFn(ask, 120),
    cancel,
    clear,
  }
}
