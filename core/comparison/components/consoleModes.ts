import { medianSorted } from '../../statistics/medianSorted'
import { estimateFrameRate } from '../../performance/model/estimateFrameRate'
import type { FrameMachine } from '../../performance/model/frameTime'
import type { Workload } from '../../performance/model/workload'
import type { FixedMode } from '../weighedMachine'

/** What somebody takes a console's insides to be equal to. */
export interface Equivalent {
  readonly by: string
  readonly saidOn: string
  readonly cpuIndex: number
  readonly threads: number
  readonly graphicsIndex: number
  readonly videoMemoryGb: number
}

/** The presets a fixed mode may correspond to, and how sure that is. */
export interface PresetBracket {
  readonly from: string
  readonly to: string
  readonly sure: 'well' | 'fairly' | 'hardly'
}

/** A console's mode beside what the build does at the same resolution. */
export interface HeldMode extends FixedMode {
  readonly workload: string
  /** Highest preset at which the build holds resolution and rate; null where none does. */
  readonly heldAt: string | null
  /** Whether even the lower end of the estimate's range holds it. */
  readonly surely: boolean
  readonly heldFps: number | null
  readonly bracket: PresetBracket | null
  readonly standing: 'better' | 'level' | 'worse'
}

/** Median of what is proposed, with its range; null where nobody has proposed anything. */
export function equivalentOf(proposals: readonly Equivalent[]): {
  readonly machine: FrameMachine
  readonly range: { readonly low: number; readonly high: number }
  readonly proposals: number
} | null {
  if (proposals.length === 0) return null
  const median = (of: (each: Equivalent) => number) => medianSorted(proposals.map(of).sort((a, b) => a - b))
  const graphics = proposals.map((each) => each.graphicsIndex)
  return {
    machine: {
      cpuIndex: median((each) => each.cpuIndex),
      threads: Math.round(median((each) => each.threads)),
      graphicsIndex: median((each) => each.graphicsIndex),
      videoMemoryGb: median((each) => each.videoMemoryGb),
      memoryChannels: 2,
    },
    range: { low: Math.min(...graphics), high: Math.max(...graphics) },
    proposals: proposals.length,
  }
}

/** Presets from light to heavy. */
export function presetsByWeight(workload: Workload): string[] {
  return Object.entries(workload.presets)
    .sort(([, a], [, b]) => a.graphics - b.graphics)
    .map(([name]) => name)
}

/**
 * The heaviest preset at which a machine holds a mode's resolution and rate (and its low, where stated); null where
 * none does.
 */
export function highestHeld(
  workload: Workload,
  machine: FrameMachine,
  mode: FixedMode,
): { readonly preset: string; readonly fps: number; readonly surely: boolean } | null {
  for (const preset of presetsByWeight(workload).reverse()) {
    const estimate = estimateFrameRate(workload, machine, { width: mode.width, height: mode.height, preset })
    const holds = (averageFps: number, lowFps: number) =>
      averageFps >= (mode.fps ?? 0) && lowFps >= (mode.lowFps ?? 0)
    if (holds(estimate.averageFps, estimate.lowFps))
      return {
        preset,
        fps: estimate.averageFps,
        surely: holds(estimate.range.low, mode.fps === null ? estimate.lowRange.low : Infinity),
      }
  }
  return null
}

/**
 * The presets a mode may correspond to: the heaviest that each proposed equivalent holds, from the lightest of them to the
 * heaviest. *Well* known where three or more agree on one preset, *fairly* where two or more lie within one step, else *hardly*.
 */
export function presetBracket(
  workload: Workload,
  mode: FixedMode,
  proposals: readonly Equivalent[],
): PresetBracket | null {
  const names = presetsByWeight(workload)
  const held = proposals.map(
    (each) =>
      highestHeld(
        workload,
        { ...each, memoryChannels: 2 },
        { ...mode, lowFps: mode.fps === null ? mode.lowFps : null },
      )?.preset ?? names[0]!,
  )
  if (held.length === 0) return null
  const ranks = held.map((name) => names.indexOf(name)).sort((a, b) => a - b)
  const [low, high] = [ranks[0]!, ranks.at(-1)!]
  return {
    from: names[low]!,
    to: names[high]!,
    sure:
      ranks.length >= 3 && low === high ? 'well' : ranks.length >= 2 && high - low <= 1 ? 'fairly' : 'hardly',
  }
}

/**
 * A fixed mode against the build at the same resolution and rate: *better* where it holds a heavier preset than any the
 * mode may be, *worse* where it holds none or only lighter ones, else *level*.
 */
export function holdMode(
  workload: Workload,
  machine: FrameMachine,
  mode: FixedMode,
  proposals: readonly Equivalent[],
): HeldMode {
  const held = highestHeld(workload, machine, mode)
  const bracket = presetBracket(workload, mode, proposals)
  const rank = (preset: string) => presetsByWeight(workload).indexOf(preset)
  const standing =
    held === null
      ? 'worse'
      : bracket === null
        ? 'level'
        : rank(held.preset) > rank(bracket.to)
          ? 'better'
          : rank(held.preset) < rank(bracket.from)
            ? 'worse'
            : 'level'
  return {
    ...mode,
    workload: workload.name,
    heldAt: held?.preset ?? null,
    surely: held?.surely ?? false,
    heldFps: held?.fps ?? null,
    bracket,
    standing,
  }
}
