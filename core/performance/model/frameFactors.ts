import {
  effectiveThreads,
  megapixels,
  modelOf,
  shortOf,
  threadsShare,
  videoMemoryNeed,
  type FrameMachine,
} from './frameTime'
import type { FrameSettings, Workload } from './workload'

/** One factor of a side's time: what it is, and by how much it multiplies the milliseconds. */
export interface FrameFactor {
  readonly name: string
  readonly factor: number
}

/**
 * All that is multiplied to a side's time, in the order of the formula. The products are the times of the estimate:
 * what is 1 on this machine is left out, but for the first two.
 *
 * @param anchor what own runs of the pair make of the average (`anchorOf`)
 * @example a = 10 ms, one megapixel, index 200, a slot that keeps 0.95: 10 · 1 · 0.5 · 1.053 = 5.26 ms
 */
export function frameFactors(
  workload: Workload,
  machine: FrameMachine,
  settings: FrameSettings,
  anchor = 1,
): { readonly graphics: readonly FrameFactor[]; readonly cpu: readonly FrameFactor[] } {
  const model = modelOf(workload)
  const preset = workload.presets[settings.preset]
  const upscaling =
    settings.upscaling && machine.upscales !== false ? (workload.upscaling[settings.upscaling] ?? 1) : 1
  const short = shortOf(videoMemoryNeed(workload, settings), machine.videoMemoryGb, machine.linkGbs)
  const own = { name: 'your runs of this pair', factor: 1 / anchor }
  return {
    graphics: shown([
      { name: 'a, ms at index 100 and 1 megapixel', factor: workload.graphicsMs },
      {
        name: `${megapixels(settings).toFixed(2)} megapixels to the power α`,
        factor: megapixels(settings) ** workload.pixelExponent,
      },
      { name: `preset ${settings.preset}`, factor: preset?.graphics ?? 1 },
      { name: `upscaling ${settings.upscaling ?? ''}`.trim(), factor: upscaling },
      { name: `graphics index ${machine.graphicsIndex}`, factor: 100 / machine.graphicsIndex },
      { name: 'PCIe version and lanes', factor: 1 / (machine.slotShare ?? 1) },
      { name: 'memory shared with integrated graphics', factor: 1 / (machine.memoryShare ?? 1) },
      { name: 'not enough video memory', factor: 1 + model.shortageFactor * short },
      own,
    ]),
    cpu: shown([
      { name: 'b, ms at index 100', factor: workload.cpuMs },
      { name: `CPU index ${machine.cpuIndex}`, factor: 100 / machine.cpuIndex },
      { name: `preset ${settings.preset}`, factor: preset?.cpu ?? 1 },
      {
        name: 'one memory channel',
        factor: machine.memoryChannels >= 2 ? 1 : model.singleChannelFactor,
      },
      { name: 'slow memory', factor: machine.memorySlow ? model.slowMemoryFactor : 1 },
      {
        name: 'fewer threads than the game uses',
        factor: 1 / threadsShare(effectiveThreads(machine, model), workload.threadsWanted, model),
      },
      own,
    ]),
  }
}

const shown = (factors: readonly FrameFactor[]) =>
  factors.filter(({ factor }, at) => at < 2 || Math.abs(factor - 1) > 1e-9)
