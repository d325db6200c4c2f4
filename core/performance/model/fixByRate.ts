import { estimateFrameRate } from './estimateFrameRate'
import type { FrameMachine } from './frameTime'
import type { FrameSettings, Workload } from './workload'

/**
 * A game's times moved so that the model gives one known rate exactly: graphics and CPU side by the same factor, since
 * one rate cannot tell them apart.
 *
 * @param fps the average that was measured, above 0
 * @example A game estimated at 50 where 100 was measured has both its times halved.
 */
export function fixByRate<W extends Workload>(
  workload: W,
  machine: FrameMachine,
  settings: FrameSettings,
  fps: number,
): W {
  const factor = estimateFrameRate(workload, machine, settings).averageFps / fps
  return { ...workload, graphicsMs: workload.graphicsMs * factor, cpuMs: workload.cpuMs * factor }
}
