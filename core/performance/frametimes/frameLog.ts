import { pauseMs } from './frameTimes'
import { stutterIndexes } from './stutters'

/** A log made ready to be looked at: pauses removed and marked, and when each frame ended. Times in ms. */
export interface FrameLog {
  readonly times: Float64Array
  /** End of each frame since the first began, pauses left out. */
  readonly ends: Float64Array
  /** Where a pause was, as elapsed ms of the log without it. */
  readonly pauses: readonly number[]
  readonly stutters: readonly number[]
}

/** Prepares a log of frame times above zero. O(n). */
export function frameLog(frameTimesMs: ArrayLike<number>): FrameLog {
  const times = new Float64Array(frameTimesMs.length)
  const ends = new Float64Array(frameTimesMs.length)
  const pauses: number[] = []
  let count = 0
  let end = 0
  for (let i = 0; i < frameTimesMs.length; i += 1) {
    const time = frameTimesMs[i]!
    if (time > pauseMs) {
      pauses.push(end)
      continue
    }
    end += time
    times[count] = time
    ends[count] = end
    count += 1
  }
  const kept = times.slice(0, count)
  return { times: kept, ends: ends.slice(0, count), pauses, stutters: stutterIndexes(kept) }
}

/** Index of the first frame that ends after a moment; the number of frames where none does. */
export function frameAt({ ends }: Pick<FrameLog, 'ends'>, elapsedMs: number): number {
  let [low, high] = [0, ends.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (ends[middle]! > elapsedMs) high = middle
    else low = middle + 1
  }
  return low
}

/** Frame times of a stretch, both moments in elapsed ms. */
export function stretchOf(log: FrameLog, fromMs: number, toMs: number): Float64Array {
  return log.times.subarray(frameAt(log, fromMs), Math.max(frameAt(log, fromMs), frameAt(log, toMs)))
}

/**
 * Shortest and longest frame in each of equal slices of time: what a trace of any length needs to be drawn. Slices
 * without a frame's end are null.
 */
export function envelope(
  log: FrameLog,
  fromMs: number,
  toMs: number,
  columns: number,
): ({ readonly min: number; readonly max: number } | null)[] {
  const slices: ({ min: number; max: number } | null)[] = new Array<null>(columns).fill(null)
  if (!(toMs > fromMs) || columns <= 0) return slices
  const scale = columns / (toMs - fromMs)
  for (let i = frameAt(log, fromMs); i < log.ends.length && log.ends[i]! <= toMs; i += 1) {
    const at = Math.min(columns - 1, Math.floor((log.ends[i]! - fromMs) * scale))
    const slice = slices[at]
    const time = log.times[i]!
    if (!slice) slices[at] = { min: time, max: time }
    else {
      slice.min = Math.min(slice.min, time)
      slice.max = Math.max(slice.max, time)
    }
  }
  return slices
}
