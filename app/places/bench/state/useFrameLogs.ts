import { proxy, wrap, type Remote } from 'comlink'
import type { FrameColumn, FrameLogHead } from '#core/reading/frames/frameLogFile'
import type { FrameLogWorker, LogStretch, ReadLog } from '~/workers/frameLogProtocol'
import FrameLogWorkerFile from '~/workers/frameLog.worker?worker'

/** A log that has been read. */
export interface OpenLog extends ReadLog {
  readonly name: string
  /** Id of the kept log it came from; null for one dropped on the page. */
  readonly keptId: string | null
}

/** A file whose column is not chosen yet. */
export interface LogToRead {
  readonly file: File
  readonly head: FrameLogHead
}

const rememberedAs = (head: FrameLogHead) => `tarvin-frame-column:${head.header.join('|')}`

/** The column chosen for this header before, else the proposal. */
export function rememberedColumn(head: FrameLogHead): FrameColumn | null {
  const stored = localStorage.getItem(rememberedAs(head))
  return stored === null ? head.proposal : (JSON.parse(stored) as FrameColumn)
}

/** Frame logs in a worker: opened one after another, read with progress, asked for stretches. The newest question wins. */
export function useFrameLogs() {
  const logs = ref<OpenLog[]>([])
  const waiting = shallowRef<LogToRead | null>(null)
  const progress = ref<number | null>(null)
  const failed = ref('')
  let worker: Worker | null = null
  let remote: Remote<FrameLogWorker> | null = null
  let question = 0

  function reader(): Remote<FrameLogWorker> {
    if (remote) return remote
    worker = new FrameLogWorkerFile()
    remote = wrap<FrameLogWorker>(worker)
    return remote
  }

  async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
    failed.value = ''
    try {
      return await work()
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error)
      return null
    }
  }

  async function offer(file: File) {
    const head = await attempt(() => reader().head(file))
    if (head) waiting.value = { file, head }
  }

  async function read(column: FrameColumn): Promise<boolean> {
    const chosen = waiting.value
    if (!chosen) return false
    localStorage.setItem(rememberedAs(chosen.head), JSON.stringify(column))
    const name = freshName(chosen.file.name)
    progress.value = 0
    const report = await attempt(() =>
      reader().read(
        name,
        chosen.file,
        column,
        proxy((share) => (progress.value = share)),
      ),
    )
    progress.value = null
    if (!report) return false
    waiting.value = null
    logs.value.push({ ...report, name, keptId: null })
    return true
  }

  async function openKept(id: string, name: string) {
    if (logs.value.some((log) => log.keptId === id)) return
    const own = freshName(name)
    const report = await attempt(async () => {
      const response = await fetch(`/api/bench/frame-logs/${id}`)
      if (!response.ok) throw new Error('log not found')
      return reader().load(own, new Float32Array(await response.arrayBuffer()))
    })
    if (report) logs.value.push({ ...report, name: own, keptId: id })
  }

  function freshName(name: string): string {
    const taken = logs.value.filter((log) => log.name === name || log.name.startsWith(`${name} (`)).length
    return taken === 0 ? name : `${name} (${taken + 1})`
  }

  /** A stretch of one or two logs; null where a newer question has been asked meanwhile. */
  async function stretches(
    names: readonly { name: string; shift: number }[],
    from: number,
    to: number,
    target: number,
    columns: number,
    highest: number,
  ): Promise<LogStretch[] | null> {
    const own = ++question
    const found = await attempt(() =>
      Promise.all(
        names.map(({ name, shift }) =>
          reader().stretch(name, from - shift, to - shift, target, columns, highest),
        ),
      ),
    )
    return own === question ? found : null
  }

  /** Ends the worker in the middle of its work; what it held goes with it. */
  function cancel() {
    if (logs.value.length > 0 && progress.value !== null)
      failed.value = 'Reading stopped and the open logs were closed; drop them again.'
    worker?.terminate()
    worker = null
    remote = null
    progress.value = null
    waiting.value = null
    logs.value = []
  }
  function close(name: string) {
    logs.value = logs.value.filter((log) => log.name !== name)
    void reader().drop(name)
  }
  onScopeDispose(cancel)
  return {
    logs: readonly(logs),
    waiting: readonly(waiting),
    progress: readonly(progress),
    failed: readonly(failed),
    offer,
    read,
    openKept,
    stretches,
    cancel,
    close,
    align: (first: string, second: string) => reader().align(first, second),
    times: (name: string) => reader().times(name),
    forget: () => (waiting.value = null),
  }
}
export type FrameLogs = ReturnType<typeof useFrameLogs>
