import type { Part } from '../../parts/part'

/** Bytes that a channel of memory moves at once. */
const channelBytes = 8
/** The ratio of bandwidths is held between these, and frames go with its root. */
const held = { least: 0.25, most: 1.5 } as const
const exponent = 0.5

/** Between what and what the memory can move graphics of the CPU. */
export const memoryShareRange = {
  least: held.least ** exponent,
  most: held.most ** exponent,
} as const

/** Bandwidth of memory, GB/s: 8 bytes · MT/s · channels. */
export const bandwidthOf = (speedMts: number, channels: number): number =>
  (channelBytes * speedMts * channels) / 1000

/**
 * What the machine's memory makes of graphics of the CPU, against what their index was rated at: two channels at the
 * fastest memory that the CPU's maker names. (bandwidth / rated, held in 0.25 … 1.5)^0.5, docs/formulas.md (Frame
 * estimate).
 *
 * @returns null where the CPU's fastest memory is not known
 * @example memoryShareOf({ facts: { maxMemoryMts: 3200 } }, 1, 3200) // 0.707: one stick, (25.6 / 51.2)^0.5
 */
export function memoryShareOf(cpu: Part, channels: number, speedMts: number): number | null {
  const rated = cpu.facts.maxMemoryMts
  if (rated === undefined) return null
  const ratio = bandwidthOf(speedMts, channels) / bandwidthOf(rated, 2)
  return Math.min(held.most, Math.max(held.least, ratio)) ** exponent
}
