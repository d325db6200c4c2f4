import type { FrameSettings } from '../../performance/model/workload'
import type { WeighedMachine } from '../weighedMachine'

/** A target as far as a machine's rate at it is looked up. */
export interface RateTarget extends FrameSettings {
  readonly workloadId: string
}

/**
 * Average frames per second of a weighed machine at a target: measured or estimated at its own settings, or the mode
 * of that size in which a console runs it; null where neither is known.
 *
 * @example a console that runs Kite Arena at 1920 × 1080 with 60 fps, asked at 1920 × 1080 high: 60
 */
export function rateAt(
  { rates, modes }: Pick<WeighedMachine, 'rates' | 'modes'>,
  { workloadId, width, height, preset }: RateTarget,
): number | null {
  const same = rates.find(
    (rate) => rate.workloadId === workloadId && rate.settings === `${width}x${height} ${preset}`,
  )
  const mode = modes.find(
    (each) => each.workloadId === workloadId && each.width === width && each.height === height,
  )
  return same?.averageFps ?? mode?.fps ?? null
}
