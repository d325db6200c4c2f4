import type { FrameTimeStatistics } from '#core/performance/frametimes/frameTimes'
import type { FrameColumn, FrameLogHead } from '#core/reading/frames/frameLogFile'
import type { LineProblem } from '#core/reading/tables/columns'
import type { Bin } from '#core/statistics/histogram'

/** What the page and the worker of frame logs say to each other. Logs stay in the worker and are spoken of by name. */
export interface ReadLog {
  readonly frames: number
  readonly seconds: number
  readonly problems: readonly LineProblem[]
  readonly rejected: number
  /** The log cannot be used until the rejected lines are let out by the builder. */
  readonly tookMs: number
}

/** A stretch of a log as it is drawn; moments in elapsed ms. */
export interface LogStretch {
  readonly statistics: FrameTimeStatistics | null
  readonly envelope: readonly ({ readonly min: number; readonly max: number } | null)[]
  /** Moment and length of each stutter, the first thousand. */
  readonly stutters: readonly { readonly at: number; readonly ms: number }[]
  readonly pauses: readonly number[]
  readonly distribution: readonly Bin[]
}

export interface FrameLogWorker {
  head(file: Blob): Promise<FrameLogHead>
  read(name: string, file: Blob, column: FrameColumn, onProgress: (share: number) => void): Promise<ReadLog>
  /** Takes frame times in ms as 32-bit floats. */
  load(name: string, times: Float32Array): ReadLog
  stretch(
    name: string,
    fromMs: number,
    toMs: number,
    targetFps: number,
    columns: number,
    highestMs: number,
  ): LogStretch
  /** Shift in ms that lays the second on the first. */
  align(first: string, second: string): number
  times(name: string): Float32Array
  drop(name: string): void
}
