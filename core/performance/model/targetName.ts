import type { FrameSettings } from './workload'

type Settings = Pick<FrameSettings, 'width' | 'height' | 'preset' | 'upscaling' | 'frameGeneration'>

/**
 * How a target is called wherever it is named: game, lines, preset, and what counts of upscaling and generated frames.
 *
 * @example targetName({ workload: 'Fenwalk', width: 2560, height: 1440, preset: 'high', upscaling: 'quality' })
 * // 'Fenwalk 1440p high, upscaled (quality)'
 */
export function targetName({ workload, ...settings }: Settings & { readonly workload: string }): string {
  return `${workload} ${settings.height}p ${settings.preset}${helpText(settings)}`
}

/** What a rate was reached at, as rates of different machines are held against each other: the same text, the same work. */
export function rateSettings(settings: Settings): string {
  return `${settings.width}x${settings.height} ${settings.preset}${helpText(settings)}`
}

/** Upscaling and generated frames in words; empty for neither. */
export function helpText({
  upscaling,
  frameGeneration,
}: Pick<Settings, 'upscaling' | 'frameGeneration'>): string {
  const helped = upscaling ? `, upscaled (${upscaling})` : ''
  return `${helped}${frameGeneration ? ', with frame generation' : ''}`
}
