import type { FrameEstimate } from './estimateFrameRate'

/** A target of the brief: what must be reached. Rates in frames a second. */
export interface RateTarget {
  readonly averageFps: number
  readonly lowFps: number | null
}

/** met: the whole range is above; narrow: the range crosses; missed: the whole range is below. */
export type TargetVerdict = 'met' | 'narrow' | 'missed'

type Judged = Pick<FrameEstimate, 'range' | 'lowRange'> & Partial<Pick<FrameEstimate, 'generatedRange'>>

/**
 * Judges average and low against their 90 % ranges; the worse of the two stands. Generated frames count in the average
 * where the target lets them, never in the lows: they make nothing more responsive.
 */
export function judgeTarget(estimate: Judged, target: RateTarget): TargetVerdict {
  const average = against(estimate.generatedRange ?? estimate.range, target.averageFps)
  if (target.lowFps === null) return average
  const low = against(estimate.lowRange, target.lowFps)
  return worse(average, low)
}

/** How far the estimate is from the target, as the smaller ratio of average and low to their marks (1 = just there). */
export function targetRatio(
  estimate: Pick<FrameEstimate, 'averageFps' | 'lowFps'> & Partial<Pick<FrameEstimate, 'generatedFps'>>,
  target: RateTarget,
): number {
  const average = (estimate.generatedFps ?? estimate.averageFps) / target.averageFps
  return target.lowFps === null ? average : Math.min(average, estimate.lowFps / target.lowFps)
}

function against(range: { low: number; high: number }, mark: number): TargetVerdict {
  return range.low >= mark ? 'met' : range.high < mark ? 'missed' : 'narrow'
}

function worse(a: TargetVerdict, b: TargetVerdict): TargetVerdict {
  const order: readonly TargetVerdict[] = ['met', 'narrow', 'missed']
  return order.indexOf(a) > order.indexOf(b) ? a : b
}
