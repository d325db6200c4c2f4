import type { FrameMachine } from '../model/frameTime'
import type { FrameSettings } from '../model/workload'

/** Where a result comes from; from the most to the least to be believed. A console's mode says nothing of any part. */
export const runKinds = {
  'own-log': { name: 'own log', weight: 1 },
  'own-reading': { name: 'own reading', weight: 0.6 },
  published: { name: 'published', weight: 0.35 },
  'console-mode': { name: 'console mode as stated', weight: 0 },
} as const
export type RunKind = keyof typeof runKinds

/** What made the lows of a run bad; a run spoilt by the first three says nothing of the parts. */
export const lowsCauses = ['loading', 'heat', 'other-work', 'memory', 'unknown'] as const
export type LowsCause = (typeof lowsCauses)[number]

/** One reading of a run that was repeated. */
export interface Repeat {
  readonly averageFps: number
  readonly lowFps: number | null
  /** Why it does not count; empty where it does. */
  readonly discarded: string
}

/** What was going on around a run; everything may be not known. */
export interface RunConditions {
  /** Other work in the background: what it was; empty for none. */
  readonly background: string
  readonly ambientC: number | null
  readonly sidePanel: 'on' | 'off' | null
  readonly gameVersion: string
  readonly driverVersion: string
  /** A limiter or the screen's rate that held the frames, a second. */
  readonly capFps?: number | null
  /** Speed at which the memory ran, where it was not its own, MT/s. */
  readonly memoryMts?: number | null
  /** What the game was started from: load times go with it. */
  readonly drive?: RunDrive | null
}

/** Drives by what they make of load times. */
export const runDrives = ['NVMe', 'SATA SSD', 'HDD'] as const
export type RunDrive = (typeof runDrives)[number]

/** What the machine said of itself meanwhile. */
export interface RunReadings {
  /** Percent in use, 0 to 100. */
  readonly cpuUse: number | null
  readonly cardUse: number | null
  readonly videoMemoryGb: number | null
  readonly cpuC: number | null
  readonly cardC: number | null
  readonly wallW: number | null
}

/** One measured result, with the machine as it was. Rates in frames a second. */
export interface FrameRun {
  readonly id: string
  readonly workloadId: string
  readonly kind: RunKind
  /** Same text: same CPU and same card. */
  readonly pair: string
  /** Null for a console: its parts are not known. */
  readonly machine: FrameMachine | null
  readonly settings: FrameSettings
  /** Empty: the workload's reference scene. */
  readonly scene: string
  /** As counted, generated frames included. */
  readonly averageFps: number
  readonly lowFps: number | null
  readonly repeats: readonly Repeat[]
  readonly conditions: RunConditions
  readonly readings: RunReadings
  readonly lowsCause: LowsCause | null
  /** The builder lets it count in spite of what speaks against it. */
  readonly overruled: boolean
}

export const plainConditions: RunConditions = {
  background: '',
  ambientC: null,
  sidePanel: null,
  gameVersion: '',
  driverVersion: '',
}
export const noReadings: RunReadings = {
  cpuUse: null,
  cardUse: null,
  videoMemoryGb: null,
  cpuC: null,
  cardC: null,
  wallW: null,
}

/** How near a cap a reading lies that says no more than "at least as fast". */
const capShare = 0.97

/** Whether a run was held by its limiter, its screen or the engine's own limit. */
export function isAtCap(
  { averageFps, conditions }: Pick<FrameRun, 'averageFps' | 'conditions'>,
  { frameCap }: { readonly frameCap?: number },
): boolean {
  const caps = [conditions.capFps, frameCap].filter((cap) => cap !== null && cap !== undefined)
  return caps.some((cap) => averageFps >= capShare * cap)
}

/**
 * Why a run stays out of the fit, in words; null where it counts. Background load, throttling and late loading exclude
 * it unless the builder overrules; a console's mode always stays out.
 */
export function excludedBecause(
  run: Pick<FrameRun, 'kind' | 'machine' | 'conditions' | 'lowsCause' | 'overruled'>,
): string | null {
  if (run.kind === 'console-mode' || run.machine === null) return 'parts not known'
  if (run.overruled) return null
  if (run.conditions.background !== '') return `background programs: ${run.conditions.background}`
  if (run.lowsCause === 'heat') return 'it throttled'
  if (run.lowsCause === 'loading') return 'it was still loading'
  if (run.lowsCause === 'other-work') return 'background programs interfered'
  return null
}
