import { estimateFrameRate, type FrameEstimate } from './estimateFrameRate'
import type { FrameMachine } from './frameTime'
import { judgeTarget, type RateTarget, type TargetVerdict } from './judgeTarget'
import type { Workload } from './workload'

/** The resolutions of a map, from light to heavy. */
export const mapSizes = [
  { width: 1280, height: 720 },
  { width: 1600, height: 900 },
  { width: 1920, height: 1080 },
  { width: 2560, height: 1440 },
  { width: 3440, height: 1440 },
  { width: 3840, height: 2160 },
] as const

export interface MapCell {
  readonly width: number
  readonly height: number
  readonly preset: string
  readonly estimate: FrameEstimate
  /** Against the target's rates; null without one. */
  readonly verdict: TargetVerdict | null
}

/** Resolution against preset for one machine and workload: a row a preset, lightest first, a column a resolution. */
export function limitMap(
  workload: Workload,
  machine: FrameMachine,
  target: RateTarget | null,
  upscaling?: string,
): MapCell[][] {
  const presets = Object.entries(workload.presets)
    .sort(([, a], [, b]) => a.graphics - b.graphics)
    .map(([name]) => name)
  return presets.map((preset) =>
    mapSizes.map((size) => {
      const estimate = estimateFrameRate(workload, machine, {
        ...size,
        preset,
        ...(upscaling ? { upscaling } : {}),
      })
      return { ...size, preset, estimate, verdict: target ? judgeTarget(estimate, target) : null }
    }),
  )
}
