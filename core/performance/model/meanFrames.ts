import type { Part } from '../../parts/part'
import { geometricMean } from '../runs/beforeAfter'
import { countedFps, estimateFrameRate } from './estimateFrameRate'
import { frameMachineOf } from './machineOf'
import type { FrameSettings, Workload } from './workload'

/**
 * Geometric mean of the frames a machine counts in its targets; null where its parts have no indexes or there is no target.
 *
 * @example meanFrames([], [], []) // null
 */
export function meanFrames(
  parts: readonly Part[],
  targets: readonly (FrameSettings & { readonly workloadId: string })[],
  workloads: readonly Workload[],
): number | null {
  const { machine } = frameMachineOf(parts)
  if (!machine) return null
  return geometricMean(
    targets.map((target) =>
      countedFps(
        estimateFrameRate(
          workloads.find(({ id }) => id === target.workloadId)!,
          machine,
          target,
        ),
      ),
    ),
  )
}

/**
 * Share of frames gained from one machine to another; null where either is not known.
 *
 * @example framesGained(60, 75) // 0.25
 */
export const framesGained = (before: number | null, after: number | null): number | null =>
  before === null || after === null || before <= 0 ? null : after / before - 1
