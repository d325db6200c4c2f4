import { covarianceOf, estimateMethod, estimateFrameRate, gradient } from '../model/estimateFrameRate'
import type { FrameMachine } from '../model/frameTime'
import { mapSizes } from '../model/limitMap'
import type { FrameSettings, Workload } from '../model/workload'

/** A measurement that is worth making, and what it would do to the range of an estimate. */
export interface NextMeasurement {
  readonly settings: FrameSettings
  /** Half-width of the 90 % range now and after it, as a share of the estimate. */
  readonly halfWidthNow: number
  readonly halfWidthAfter: number
}

/**
 * The one more measurement on this machine that would help an estimate most: of all presets at the usual resolutions,
 * the one that leaves the least variance, v − (JᵀCK)² / (s² + KᵀCK) for a measurement with gradient K. The target's own
 * settings win ties: they are what is wanted to be known.
 */
export function nextMeasurement(
  workload: Workload,
  machine: FrameMachine,
  settings: FrameSettings,
): NextMeasurement {
  const c = covarianceOf(workload)
  const target = estimateFrameRate(workload, machine, settings)
  const j = gradient(target.graphicsShare, settings)
  const s2 = target.spread.result ** 2
  const now = target.spread.parameters ** 2
  const others = Object.keys(workload.presets).flatMap((preset) =>
    mapSizes.map((size) => ({ ...size, preset })),
  )
  const options = [settings, ...others].map((each) => {
    const { width, height, preset } = each
    const k = gradient(estimateFrameRate(workload, machine, { width, height, preset }).graphicsShare, each)
    return {
      settings: { width, height, preset },
      after: Math.max(0, now - product(j, c, k) ** 2 / (s2 + product(k, c, k))),
    }
  })
  const best = options.reduce((a, b) => (b.after < a.after - 1e-12 ? b : a))
  const halfWidth = (variance: number) => Math.exp(estimateMethod.z90 * Math.sqrt(s2 + variance)) - 1
  return { settings: best.settings, halfWidthNow: halfWidth(now), halfWidthAfter: halfWidth(best.after) }
}

function product(a: readonly number[], matrix: readonly (readonly number[])[], b: readonly number[]): number {
  return a.reduce(
    (sum, left, row) =>
      sum + left * b.reduce((inner, right, column) => inner + matrix[row]![column]! * right, 0),
    0,
  )
}
