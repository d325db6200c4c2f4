import { medianSorted } from '../../statistics/medianSorted'
import type { Repeat } from './run'

/** A run that was repeated, in one figure each. Rates in frames a second. */
export interface RepeatSummary {
  readonly averageFps: number
  readonly lowFps: number | null
  /** Highest over lowest average, less one: 0.03 means 3 %; null with fewer than two that count. */
  readonly spread: number | null
  readonly counted: number
  readonly discarded: number
}

/**
 * Median of the repeats that count, and how far they spread. Lows: median of those stated.
 *
 * @returns null where none counts
 * @example three of 60, 62 and 61 fps: median 61, spread 62/60 − 1 = 0.0333
 */
export function repeatSummary(repeats: readonly Repeat[]): RepeatSummary | null {
  const counted = repeats.filter((each) => each.discarded === '')
  if (counted.length === 0) return null
  const averages = sorted(counted.map((each) => each.averageFps))
  const lows = sorted(counted.flatMap((each) => each.lowFps ?? []))
  return {
    averageFps: medianSorted(averages),
    lowFps: lows.length === 0 ? null : medianSorted(lows),
    spread: averages.length < 2 ? null : averages.at(-1)! / averages[0]! - 1,
    counted: counted.length,
    discarded: repeats.length - counted.length,
  }
}

function sorted(values: readonly number[]): number[] {
  return [...values].sort((a, b) => a - b)
}
