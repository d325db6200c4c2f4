import { countedFps, estimateFrameRate } from './estimateFrameRate'
import type { FrameMachine } from './frameTime'
import type { RateTarget } from './judgeTarget'
import type { FrameSettings, Workload } from './workload'

const highest = 2000
const steps = 60

/**
 * The index a card (or a CPU) would need so that the estimate just reaches average and low, everything else as it is.
 * Found by halving, since frames never fall when an index rises.
 *
 * @returns null where no index up to 2000 gets there: the other side alone is too slow
 */
export function indexNeeded(
  workload: Workload,
  machine: FrameMachine,
  settings: FrameSettings,
  target: RateTarget,
  side: 'graphics' | 'cpu',
): number | null {
  // another part is another pair: own runs of this one say nothing of it
  const { pair: _, ...any } = machine
  const reaches = (index: number) => {
    const estimate = estimateFrameRate(
      workload,
      { ...any, ...(side === 'graphics' ? { graphicsIndex: index } : { cpuIndex: index }) },
      settings,
    )
    return (
      countedFps(estimate) >= target.averageFps &&
      (target.lowFps === null || estimate.lowFps >= target.lowFps)
    )
  }
  if (!reaches(highest)) return null
  let [low, high] = [0, highest]
  for (let step = 0; step < steps; step += 1) {
    const middle = (low + high) / 2
    if (middle > 0 && reaches(middle)) high = middle
    else low = middle
  }
  return high
}
