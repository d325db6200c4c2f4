import { CoreError } from '../../errors/coreError'
import { quantileSorted } from '../../statistics/quantileSorted'
import { stutterIndexes } from './stutters'

/** Both usual definitions of a low, named. In frames a second. */
export interface Low {
  /** 1000 / frame time at the quantile 0.99 (0.999). */
  readonly percentile: number
  /** 1000 / mean of the slowest ⌈n/100⌉ (⌈n/1000⌉) frames. */
  readonly worstShare: number
}

/** What a frame-time log says. Null where no frame is left to say it. */
export interface FrameTimeStatistics {
  readonly frames: number
  readonly seconds: number
  readonly averageFps: number | null
  readonly onePercentLow: Low | null
  readonly pointOnePercentLow: Low | null
  /** Fewest and most frames in one-second windows; null under one second. */
  readonly minWindowFps: number | null
  readonly maxWindowFps: number | null
  /** Share of time in frames longer than 1000 / target, 0 to 1. */
  readonly shareUnderTarget: number | null
  readonly stutters: number
  readonly stuttersPerMinute: number | null
  /** Gaps longer than a second: loading, not play. They are in no other figure. */
  readonly pauses: number
}

/** A gap longer than this is loading, not play. */
export const pauseMs = 1000

/**
 * Statistics of a frame-time log by docs/formulas.md (Frame times). Linear between order statistics at h = (n − 1)·q;
 * windows follow one another from zero, a frame counts where it ends (one that ends on the full second counts in that
 * second), the last partial window is dropped.
 *
 * O(n log n). Throws `bad-frame-time` with the index of the first frame that is not a number above zero, and
 * `no-frames` for an empty log.
 *
 * @param frameTimesMs frame times in milliseconds, in order
 * @param targetFps rate to hold, above zero
 * @example frameTimes([10, 10, 10, 10], 60).averageFps // 100
 */
export function frameTimes(frameTimesMs: ArrayLike<number>, targetFps: number): FrameTimeStatistics {
  if (!(targetFps > 0 && Number.isFinite(targetFps)))
    throw new CoreError('bad-target', { targetFps }, 'targetFps')
  if (frameTimesMs.length === 0) throw new CoreError('no-frames', {}, 'frameTimesMs')
  const { times, pauses } = withoutPauses(frameTimesMs)
  const n = times.length
  if (n === 0) {
    return {
      frames: 0,
      seconds: 0,
      averageFps: null,
      onePercentLow: null,
      pointOnePercentLow: null,
      minWindowFps: null,
      maxWindowFps: null,
      shareUnderTarget: null,
      stutters: 0,
      stuttersPerMinute: null,
      pauses,
    }
  }
  const sorted = times.slice().sort()
  const total = times.reduce((sum, time) => sum + time, 0)
  const budget = 1000 / targetFps
  const under = times.reduce((sum, time) => (time > budget ? sum + time : sum), 0)
  const stutters = stutterIndexes(times).length
  const [minWindowFps, maxWindowFps] = windowExtremes(times)
  return {
    frames: n,
    seconds: total / 1000,
    averageFps: (1000 * n) / total,
    onePercentLow: lowOf(sorted, 0.01),
    pointOnePercentLow: lowOf(sorted, 0.001),
    minWindowFps,
    maxWindowFps,
    shareUnderTarget: under / total,
    stutters,
    stuttersPerMinute: stutters / (total / 60_000),
    pauses,
  }
}

function withoutPauses(frameTimesMs: ArrayLike<number>): { times: Float64Array; pauses: number } {
  const times = new Float64Array(frameTimesMs.length)
  let count = 0
  for (let i = 0; i < frameTimesMs.length; i += 1) {
    const time = frameTimesMs[i]!
    if (!(time > 0 && Number.isFinite(time))) {
      throw new CoreError('bad-frame-time', { frame: i + 1, time }, `frameTimesMs[${i}]`)
    }
    if (time <= pauseMs) times[count++] = time
  }
  return { times: times.slice(0, count), pauses: frameTimesMs.length - count }
}

/** @param sorted frame times, ascending */
function lowOf(sorted: Float64Array, share: number): Low {
  const slowest = sorted.subarray(sorted.length - Math.ceil(sorted.length * share))
  const mean = slowest.reduce((sum, time) => sum + time, 0) / slowest.length
  return { percentile: 1000 / quantileSorted(sorted, 1 - share), worstShare: 1000 / mean }
}

/** Sums of frame times miss a full second by rounding; a thousandth of a microsecond is none. */
const roundingMs = 1e-6

function windowExtremes(times: Float64Array): [number, number] | [null, null] {
  let end = 0
  let windowEnd = 1000
  let inWindow = 0
  let min = Infinity
  let max = -Infinity
  for (const time of times) {
    end += time
    // frames of up to a second: at most two windows close between one frame's end and the next
    while (end > windowEnd + roundingMs) {
      min = Math.min(min, inWindow)
      max = Math.max(max, inWindow)
      inWindow = 0
      windowEnd += 1000
    }
    inWindow += 1
  }
  if (end >= windowEnd - roundingMs) {
    min = Math.min(min, inWindow)
    max = Math.max(max, inWindow)
  }
  return max < 0 ? [null, null] : [min, max]
}
