import { performanceDefaults, type PerformanceAssumptions } from '../../assumptions/groups/performance'
import { CoreError } from '../../errors/coreError'
import type { FrameSettings, Workload } from './workload'

/** The machine as far as frames are concerned. Indexes relative to 100. */
export interface FrameMachine {
  readonly cpuIndex: number
  readonly threads: number
  readonly graphicsIndex: number
  readonly videoMemoryGb: number
  /** Memory channels filled; 1 slows the CPU side. */
  readonly memoryChannels: number
  /** Cores behind the threads; left out: every thread counts as a core. */
  readonly cores?: number
  /** System memory; left out: not known, and nothing is short. */
  readonly systemMemoryGb?: number
  /** What the card's slot moves, GB/s; left out: enough. */
  readonly linkGbs?: number
  /** Share of its speed that the card keeps in its slot; left out: all of it. */
  readonly slotShare?: number
  /** What the machine's memory makes of graphics without memory of its own, against what it was rated at; left out: 1. */
  readonly memoryShare?: number
  /** Whether what draws can upscale and generate frames; left out: it can. */
  readonly upscales?: boolean
  readonly generatesFrames?: boolean
  /** The pair of parts, where its own runs may anchor an estimate. */
  readonly pair?: string
  /** Facts that are not known, with the ends between which they plausibly lie; the figures above then stand between. */
  readonly unsure?: readonly Unsure[]
  /** Memory below the usual speed of its generation. Left out: it is not, or that is not known. */
  readonly memorySlow?: boolean
}

/** A fact that a frame depends on and nobody knows: what it is called, and the machine at either end. */
export interface Unsure {
  readonly fact: string
  /** Asked only where these settings are on; left out: always. */
  readonly of?: 'upscaling' | 'frameGeneration'
  readonly low: Partial<FrameMachine>
  readonly high: Partial<FrameMachine>
}

/** The frame model of docs/formulas.md (Frame estimate), bare: what estimate and fit have in common. Times in ms. */
export interface FrameTime {
  readonly graphicsMs: number
  readonly cpuMs: number
  readonly frameMs: number
  /** Share of the limit on the graphics side, 0 to 1. */
  readonly graphicsShare: number
  /** Video memory needed over had, at least 1. */
  readonly shortage: number
  /** What divides the lows besides: little video or system memory, few threads; at least 1. */
  readonly lowsFactor: number
}

/**
 * g = a · pixels^α · preset · upscaling / (graphics index · slot · memory), c = b · preset's CPU factor · memory factor /
 * (CPU index · min(1, threads / wanted)^0.6), t = (g^k + c^k)^(1/k).
 *
 * @throws CoreError `unknown-preset`, `unknown-upscaling`, `bad-index`
 * @example a = b = 10, one megapixel, both indexes 100: g = c = 10 ms, t = 10 · 2^(1/5) = 11.49 ms
 */
export function frameTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): FrameTime {
  const model = modelOf(workload)
  const need = videoMemoryNeed(workload, settings)
  const short = shortOf(need, machine.videoMemoryGb, machine.linkGbs)
  const graphicsMs = graphicsTime(workload, machine, settings) * (1 + model.shortageFactor * short)
  const cpuMs = cpuTime(workload, machine, settings)
  const wish = workload.systemMemoryGb
  const memoryShort =
    wish === undefined || machine.systemMemoryGb === undefined ? 0 : shortOf(wish, machine.systemMemoryGb)
  return {
    graphicsMs,
    cpuMs,
    shortage: Math.max(1, need / machine.videoMemoryGb),
    lowsFactor:
      ((1 + model.shortageLows * short) * (1 + model.shortageLows * memoryShort)) /
      threadsShare(effectiveThreads(machine, model), workload.threadsWanted, model),
    ...joinSides(graphicsMs, cpuMs, model),
  }
}

/** Pixels at which a preset's need of video memory is stated. */
const referencePixels = 1920 * 1080
/** GB/s of a slot from which on it does not make a shortage worse. */
const fullLink = 16

/** Video memory that a preset wants at a resolution, GB: its need at 1920 × 1080, growing with the pixels. */
export function videoMemoryNeed(workload: Workload, settings: FrameSettings): number {
  const growth = ((settings.width * settings.height) / referencePixels) ** modelOf(workload).memoryGrowth
  return presetOf(workload, settings).videoMemoryGb * growth
}

/**
 * By how much memory falls short: max(0, need / have − 1), the more the slower the link it spills over.
 *
 * @example shortOf(8, 6) // 0.333
 */
export function shortOf(needGb: number, haveGb: number, linkGbs = fullLink): number {
  return Math.max(0, needGb / haveGb - 1) * Math.sqrt(Math.max(1, fullLink / linkGbs))
}

/** Threads by what they are worth: cores, and a share of the second thread of each. */
export function effectiveThreads(
  { threads, cores = threads }: Pick<FrameMachine, 'threads' | 'cores'>,
  { secondThread }: Pick<PerformanceAssumptions, 'secondThread'>,
): number {
  return cores >= threads ? threads : cores + secondThread * (threads - cores)
}

/** Frame time of two sides, and how much of the limit is on the graphics side. */
export function joinSides(
  graphicsMs: number,
  cpuMs: number,
  { sharpness }: Pick<PerformanceAssumptions, 'sharpness'>,
): Pick<FrameTime, 'frameMs' | 'graphicsShare'> {
  const slower = Math.max(graphicsMs, cpuMs)
  const g = (graphicsMs / slower) ** sharpness
  const c = (cpuMs / slower) ** sharpness
  return { frameMs: slower * (g + c) ** (1 / sharpness), graphicsShare: g / (g + c) }
}

/** Share of a CPU's speed that comes through with so many threads: min(1, threads / wanted)^0.6. */
export function threadsShare(
  threads: number,
  wanted: number,
  { threadsExponent }: Pick<PerformanceAssumptions, 'threadsExponent'>,
): number {
  return Math.min(1, threads / wanted) ** threadsExponent
}

export function megapixels({ width, height }: Pick<FrameSettings, 'width' | 'height'>): number {
  return (width * height) / 1e6
}

/** The assumptions a workload is calculated by: its own, else the defaults. */
export function modelOf({ model = performanceDefaults }: Pick<Workload, 'model'>): PerformanceAssumptions {
  return model
}

function presetOf(workload: Workload, settings: FrameSettings) {
  const preset = workload.presets[settings.preset]
  if (!preset)
    throw new CoreError('unknown-preset', { name: workload.name, preset: settings.preset }, 'preset')
  return preset
}

function graphicsTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.graphicsIndex > 0))
    throw new CoreError('bad-graphics-index', { index: machine.graphicsIndex }, 'graphicsIndex')
  const offered = settings.upscaling ? workload.upscaling[settings.upscaling] : 1
  if (offered === undefined)
    throw new CoreError(
      'unknown-upscaling',
      { name: workload.name, upscaling: settings.upscaling! },
      'upscaling',
    )
  const upscaling = machine.upscales === false ? 1 : offered
  return (
    (workload.graphicsMs *
      megapixels(settings) ** workload.pixelExponent *
      presetOf(workload, settings).graphics *
      upscaling *
      100) /
    graphicsIndexHere(machine)
  )
}

/** Graphics index as it is on this machine: in this slot, with this memory. */
export function graphicsIndexHere({
  graphicsIndex,
  slotShare = 1,
  memoryShare = 1,
}: Pick<FrameMachine, 'graphicsIndex' | 'slotShare' | 'memoryShare'>): number {
  return graphicsIndex * slotShare * memoryShare
}

function cpuTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.cpuIndex > 0)) throw new CoreError('bad-cpu-index', { index: machine.cpuIndex }, 'cpuIndex')
  const model = modelOf(workload)
  const threads = threadsShare(effectiveThreads(machine, model), workload.threadsWanted, model)
  const channels = machine.memoryChannels >= 2 ? 1 : model.singleChannelFactor
  const speed = machine.memorySlow ? model.slowMemoryFactor : 1
  return (
    (workload.cpuMs * presetOf(workload, settings).cpu * channels * speed * 100) /
    (machine.cpuIndex * threads)
  )
}
