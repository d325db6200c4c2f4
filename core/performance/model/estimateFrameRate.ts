import { performanceDefaults, type PerformanceAssumptions } from '../../assumptions/groups/performance'
import { applyEvidence, type LimitEvidence, type LimitShift } from '../fitting/limitEvidence'
import { modelOf, frameTime, megapixels, type FrameMachine, type FrameTime } from './frameTime'
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
  /** Shown rate with generated frames, where they count and what draws can generate them; they add no responsiveness. */
  readonly generatedFps: number | null
  readonly generatedRange: { readonly low: number; readonly high: number } | null
  readonly graphicsMs: number
  readonly cpuMs: number
  /** Of both sides together, before the engine's own limit. */
  readonly frameMs: number
  /** Share of the limit on the graphics side, 0 to 1, moved by evidence where there is any. */
  readonly graphicsShare: number
  readonly limit: Limit
  /** What evidence from runs moved it by; null where there is none. */
  readonly limitShift: LimitShift | null
  /** Whether the engine's own limit holds it. */
  readonly isCapped: boolean
  /** What own runs of this very pair moved it by; 1 without one. */
  readonly anchor: number
  /** Video memory needed over had, at least 1; above 1 frames wait for it. */
  readonly videoMemoryShortage: number
  /** What divides the lows besides: little memory, few threads. */
  readonly lowsFactor: number
  /** s and √(JᵀCJ): spread of one result, and what is not known of the parameters. */
  readonly spread: { readonly result: number; readonly parameters: number }
  /** How many runs stand behind it. */
  readonly runs: number
  /** True where fewer than three do. */
  readonly rough: boolean
  /** Facts that are not known; then the range spans what they plausibly are. */
  readonly unsure: readonly string[]
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
 * Estimate of docs/formulas.md (Frame estimate) from a workload, as it is fitted or by the library's defaults. Video
 * memory short of the preset's need multiplies g by 1 + 0.8 · (need/have − 1) and divides the low by 1 + 1.5 ·
 * (need/have − 1).
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
  const { unsure: open = [], ...known } = machine
  const unsure = open.filter(({ of }) => of === undefined || Boolean(settings[of]))
  const middle = estimateKnown(workload, known, settings, evidence)
  if (unsure.length === 0) return middle
  const end = (side: 'low' | 'high') =>
    estimateKnown(workload, Object.assign({}, known, ...unsure.map((each) => each[side])), settings, evidence)
  const [low, high] = [end('low'), end('high')]
  return {
    ...middle,
    range: { low: low.range.low, high: high.range.high },
    lowRange: { low: low.lowRange.low, high: high.lowRange.high },
    generatedRange:
      high.generatedRange === null
        ? null
        : { low: (low.generatedRange ?? low.range).low, high: high.generatedRange.high },
    unsure: unsure.map(({ fact }) => fact),
  }
}

function estimateKnown(
  workload: Workload,
  machine: FrameMachine,
  settings: FrameSettings,
  evidence: readonly LimitEvidence[],
): FrameEstimate {
  const { z90, roughBelow } = estimateMethod
  const anchor = anchorOf(workload, machine.pair)
  const time = anchored(frameTime(workload, machine, settings), anchor)
  const freeFps = 1000 / time.frameMs
  const averageFps = Math.min(freeFps, workload.frameCap ?? Infinity)
  const lowShare =
    time.graphicsShare * workload.lowShare.graphics + (1 - time.graphicsShare) * workload.lowShare.cpu
  const lowFps = (averageFps * lowShare) / time.lowsFactor
  const spread = spreadOf(workload, time.graphicsShare, settings)
  const factor = Math.exp(z90 * Math.hypot(spread.result, spread.parameters))
  const lowFactor = Math.exp(z90 * Math.hypot(spread.result, spread.parameters, workload.fit?.lowSpread ?? 0))
  const sides = applyEvidence(time, evidence, modelOf(workload))
  const most = workload.frameCap ?? Infinity
  const range = { low: averageFps / factor, high: Math.min(most, averageFps * factor) }
  const generates = settings.frameGeneration === true && machine.generatesFrames !== false
  const more = workload.frameGenerationFactor
  return {
    averageFps,
    lowFps,
    range,
    lowRange: { low: lowFps / lowFactor, high: Math.min(most, lowFps * lowFactor) },
    generatedFps: generates ? averageFps * more : null,
    generatedRange: generates ? { low: range.low * more, high: range.high * more } : null,
    frameMs: time.frameMs,
    ...sides,
    limit: limitOf(sides.graphicsShare, modelOf(workload)),
    isCapped: averageFps < freeFps,
    anchor,
    videoMemoryShortage: time.shortage,
    lowsFactor: time.lowsFactor,
    spread,
    runs: workload.fit?.runs ?? 0,
    rough: (workload.fit?.runs ?? 0) < roughBelow,
    unsure: [],
  }
}

/** Both sides by the same factor, so that they still join to the frame. */
function anchored(time: FrameTime, anchor: number): FrameTime {
  return {
    ...time,
    graphicsMs: time.graphicsMs / anchor,
    cpuMs: time.cpuMs / anchor,
    frameMs: time.frameMs / anchor,
  }
}

/** Weight that the model keeps against the runs of a pair. */
const anchorPrior = 2

/**
 * What an estimate for a pair with runs of its own is multiplied by: exp(−ρ), ρ = Σ w·r / (2 + Σ w) over the pair's
 * runs, r the ln of measured over fitted frame time. 1 without a run.
 *
 * @example two own logs 10 % slower than the fit: ρ = 2 · 0.0953 / 4 = 0.0477, so 0.953
 */
export function anchorOf(workload: Workload, pair: string | undefined): number {
  const own = workload.fit?.residuals.filter((each) => pair !== undefined && each.pair === pair) ?? []
  const weights = own.reduce((sum, { weight }) => sum + weight, 0)
  const pull = own.reduce((sum, { weight, fitted }) => sum + weight * fitted, 0)
  return own.length === 0 ? 1 : Math.exp(-pull / (anchorPrior + weights))
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

/** The rate that counts against a target: with generated frames where the target counts them and they are generated. */
export const countedFps = ({ generatedFps, averageFps }: FrameEstimate): number => generatedFps ?? averageFps
