import type { Workload } from './workload'

/**
 * The presets of a game whose reference preset needs another video memory than the shape it was made from: every
 * preset moves with it, to a tenth of a GB. A shape that states no video memory is taken as 1 GB.
 *
 * @param videoMemoryGb what the reference preset needs, GB
 * @example scaledPresets({ low: { videoMemoryGb: 2 }, high: { videoMemoryGb: 4 } }, 'high', 6) // { low: {
 *   videoMemoryGb: 3 }, high: { videoMemoryGb: 6 } }
 */
export function scaledPresets(
  presets: Workload['presets'],
  reference: string,
  videoMemoryGb: number,
): Workload['presets'] {
  const factor = videoMemoryGb / (presets[reference]?.videoMemoryGb || 1)
  return Object.fromEntries(
    Object.entries(presets).map(([name, cost]) => [
      name,
      { ...cost, videoMemoryGb: Math.round(cost.videoMemoryGb * factor * 10) / 10 },
    ]),
  )
}
