import type { FrameTimeStatistics } from '#core/performance/frametimes/frameTimes'
import { percent } from '~/utils/show'

export interface FrameRow {
  readonly label: string
  /** the 1 % low by the definition the build goes by */
  readonly isOwnLow: boolean
  /** one for each log; "—" where there is nothing to say */
  readonly cells: readonly string[]
}

const nothing = '—'
const fps = (value: number | null | undefined) =>
  value === null || value === undefined ? nothing : value.toFixed(1)

/** The figures of one or two logs as rows of a table; no statistics (no frames in the stretch): dashes. */
export function frameRows(
  statistics: readonly (FrameTimeStatistics | null)[],
  targetFps: number,
  lowMethod: 'percentile' | 'worst-share',
): FrameRow[] {
  const rows: readonly [string, (s: FrameTimeStatistics) => string][] = [
    ['frames', (s) => s.frames.toLocaleString('en')],
    ['seconds', (s) => s.seconds.toFixed(1)],
    ['average fps', (s) => fps(s.averageFps)],
    ['1 % low, percentile', (s) => fps(s.onePercentLow?.percentile)],
    ['1 % low, worst 1 %', (s) => fps(s.onePercentLow?.worstShare)],
    ['0.1 % low, percentile', (s) => fps(s.pointOnePercentLow?.percentile)],
    ['0.1 % low, worst 0.1 %', (s) => fps(s.pointOnePercentLow?.worstShare)],
    ['minimum and maximum fps', (s) => `${s.minWindowFps ?? nothing} / ${s.maxWindowFps ?? nothing}`],
    [
      `time under ${targetFps} fps`,
      (s) => (s.shareUnderTarget === null ? nothing : percent(s.shareUnderTarget, 1)),
    ],
    [
      'stutters',
      (s) =>
        s.stuttersPerMinute === null
          ? String(s.stutters)
          : `${s.stutters} (${s.stuttersPerMinute.toFixed(1)} per minute)`,
    ],
  ]
  const ownLow = `1 % low, ${lowMethod === 'percentile' ? 'percentile' : 'worst 1 %'}`
  return rows.map(([label, of]) => ({
    label,
    isOwnLow: label === ownLow,
    cells: statistics.map((each) => (each ? of(each) : nothing)),
  }))
}
