import { expose, transfer } from 'comlink'
import { alignLogs } from '#core/performance/frametimes/alignLogs'
import { envelope, frameLog, stretchOf, type FrameLog } from '#core/performance/frametimes/frameLog'
import { frameTimes } from '#core/performance/frametimes/frameTimes'
import { frameLogHead, readFrameLog } from '#core/reading/frames/frameLogFile'
import { histogram } from '#core/statistics/histogram'
import type { FrameLogWorker, ReadLog } from './frameLogProtocol'

const logs = new Map<string, { log: FrameLog; times: Float64Array }>()
const mostStutters = 1000
const bins = 40
/** What the header is looked for in. */
const headBytes = 200_000

function keep(
  name: string,
  times: Float64Array,
  from: number,
  report: Pick<ReadLog, 'problems' | 'rejected'>,
): ReadLog {
  const log = frameLog(times)
  logs.set(name, { log, times })
  return {
    ...report,
    frames: log.times.length,
    seconds: (log.ends.at(-1) ?? 0) / 1000,
    tookMs: performance.now() - from,
  }
}

function logOf(name: string): FrameLog {
  const found = logs.get(name)
  if (!found) throw new Error(`The log "${name}" is no longer loaded; drop it again`)
  return found.log
}

const worker: FrameLogWorker = {
  async head(file) {
    return frameLogHead(await file.slice(0, headBytes).text())
  },
  async read(name, file, column, onProgress) {
    const from = performance.now()
    const { timesMs, ...report } = readFrameLog(await file.text(), column, (share) => {
      onProgress(share)
      return true
    })
    return keep(name, timesMs, from, report)
  },
  load(name, times) {
    return keep(name, Float64Array.from(times), performance.now(), { problems: [], rejected: 0 })
  },
  stretch(name, fromMs, toMs, targetFps, columns, highestMs) {
    const log = logOf(name)
    const times = stretchOf(log, fromMs, toMs)
    return {
      statistics: times.length === 0 ? null : frameTimes(times, targetFps),
      envelope: envelope(log, fromMs, toMs, columns),
      stutters: log.stutters
        .map((index) => ({ at: log.ends[index]!, ms: log.times[index]! }))
        .filter(({ at }) => at >= fromMs && at <= toMs)
        .slice(0, mostStutters),
      pauses: log.pauses.filter((at) => at >= fromMs && at <= toMs),
      distribution: histogram(times, 0, highestMs, bins),
    }
  },
  align: (first, second) => alignLogs(logOf(first), logOf(second)),
  times(name) {
    const times = Float32Array.from(logs.get(name)?.times ?? [])
    return transfer(times, [times.buffer])
  },
  drop(name) {
    logs.delete(name)
  },
}
expose(worker)
