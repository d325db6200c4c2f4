import { performanceDefaults, type PerformanceAssumptions } from '../../assumptions/groups/performance'
import { applyEvidence, type LimitEvidence, type LimitShift } from '../fitting/limitEvidence'
import { modelOf, frameTime, megapixels, type FrameMachine } from './frameTime'
import type { FrameSettings, Workload } from './workload'

/** Which side a frame waits for. */
export type Limit = 'graphics' | 'cpu' | 'balanced'

/** One predicted result, with its working. Rates in frames a second, times in ms. */
export interface FrameEstimate {
  readonly averageFps: number
  readonly lowFps: number
  /** 90 % range of the average. */
  readonly range: { readonly low: number; readonly high: number }
  readonly lowRange: { readonly low: number; readonly high: number }
  /** Shown rate with generated frames, where switched on; they add no responsiveness. */
  readonly generatedFps: number | null
  readonly graphicsMs: number
  readonly cpuMs: number
  readonly frameMs: number
  /** Share of the limit on the graphics side, 0 to 1, moved by evidence where there is any. */
  readonly graphicsShare: number
  readonly limit: Limit
  /** What evidence from runs moved it by; null where there is none. */
  readonly limitShift: LimitShift | null
  /** Video memory needed over had, at least 1; above 1 frames wait for it. */
  readonly videoMemoryShortage: number
  /** s and √(JᵀCJ): spread of one result, and what is not known of the parameters. */
  readonly spread: { readonly result: number; readonly parameters: number }
  /** How many runs stand behind it. */
  readonly runs: number
  /** True where fewer than three do. */
  readonly rough: boolean
}

/** What the method fixes. */
export const estimateMethod = {
  z90: 1.645,
  /** Fewer runs than this: the estimate is called rough. */
  roughBelow: 3,
  /** Prior standard deviation of α. */
  pixelExponentSpread: 0.06,
} as const

/**
 * Estimate of `calculations.md` 10 from a workload, as it is fitted or by the library's defaults. Video memory short of
 * the preset's need multiplies g by 1 + 1.5 · (need/have − 1) and divides the low once more.
 *
 * Range = estimate · exp(±1.645 · √(s² + JᵀCJ)), J = (share, 1 − share, share · ln megapixels) for (ln a, ln b, α);
 * without a fit C is the prior's. Evidence moves what limits, never the average, so that an estimate never rises when
 * a part gets slower, nor falls when the resolution falls.
 *
 * @throws CoreError `unknown-preset`, `unknown-upscaling`, `bad-index`
 * @example a = b = 10, one megapixel, both indexes 100: 1000 / 11.49 = 87.1 fps
 */
export function estimateFrameRate(
  workload: Workload,
  machine: FrameMachine,
  settings: FrameSettings,
  evidence: readonly LimitEvidence[] = [],
): FrameEstimate {
  const { z90, roughBelow } = estimateMethod
  const time = frameTime(workload, machine, settings)
  const averageFps = 1000 / time.frameMs
  const lowShare =
    time.graphicsShare * workload.lowShare.graphics + (1 - time.graphicsShare) * workload.lowShare.cpu
  const lowFps = (averageFps * lowShare) / time.shortageFactor
  const spread = spreadOf(workload, time.graphicsShare, settings)
  const factor = Math.exp(z90 * Math.hypot(spread.result, spread.parameters))
  const lowFactor = Math.exp(z90 * Math.hypot(spread.result, spread.parameters, workload.fit?.lowSpread ?? 0))
  const sides = applyEvidence(time, evidence, modelOf(workload))
  return {
    averageFps,
    lowFps,
    range: { low: averageFps / factor, high: averageFps * factor },
    lowRange: { low: lowFps / lowFactor, high: lowFps * lowFactor },
    generatedFps: settings.frameGeneration ? averageFps * workload.frameGenerationFactor : null,
    frameMs: time.frameMs,
    ...sides,
    limit: limitOf(sides.graphicsShare, modelOf(workload)),
    videoMemoryShortage: time.shortage,
    spread,
    runs: workload.fit?.runs ?? 0,
    rough: (workload.fit?.runs ?? 0) < roughBelow,
  }
}

/** Which side limits, by the share of the limit on the graphics side. */
export function limitOf(
  graphicsShare: number,
  { graphicsLimitedFrom, cpuLimitedUpTo }: PerformanceAssumptions = performanceDefaults,
): Limit {
  return graphicsShare > graphicsLimitedFrom
    ? 'graphics'
    : graphicsShare < cpuLimitedUpTo
      ? 'cpu'
      : 'balanced'
}

/** Gradient of ln t by (ln a, ln b, α). */
export function gradient(
  graphicsShare: number,
  settings: Pick<FrameSettings, 'width' | 'height'>,
): readonly [number, number, number] {
  return [graphicsShare, 1 - graphicsShare, graphicsShare * Math.log(megapixels(settings))]
}

/** Covariance of (ln a, ln b, α) by the fit, or the library's priors where there is none. */
export function covarianceOf(workload: Workload): readonly (readonly number[])[] {
  const prior = workload.priorSpread ** 2
  return (
    workload.fit?.covariance ?? [
      [prior, 0, 0],
      [0, prior, 0],
      [0, 0, estimateMethod.pixelExponentSpread ** 2],
    ]
  )
}

function spreadOf(
  workload: Workload,
  graphicsShare: number,
  settings: FrameSettings,
): FrameEstimate['spread'] {
  const j = gradient(graphicsShare, settings)
  const covariance = covarianceOf(workload)
  const variance = j.reduce(
    (sum, a, row) => sum + a * j.reduce((inner, b, column) => inner + covariance[row]![column]! * b, 0),
    0,
  )
  return {
    result: workload.fit?.residualSpread ?? modelOf(workload).residualSpread,
    parameters: Math.sqrt(Math.max(0, variance)),
  }
}
