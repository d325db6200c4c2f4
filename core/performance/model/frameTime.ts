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
  /** Memory below the usual speed of its generation. Left out: it is not, or that is not known. */
  readonly memorySlow?: boolean
}

/** The frame model of `calculations.md` 10, bare: what estimate and fit have in common. Times in ms. */
export interface FrameTime {
  readonly graphicsMs: number
  readonly cpuMs: number
  readonly frameMs: number
  /** Share of the limit on the graphics side, 0 to 1. */
  readonly graphicsShare: number
  /** Video memory needed over had, at least 1. */
  readonly shortage: number
  /** Factor that the shortage puts on graphics time, and once more on the lows. */
  readonly shortageFactor: number
}

/**
 * g = a · pixels^α · preset · upscaling / graphics index, c = b · preset's CPU factor · memory factor /
 * (CPU index · min(1, threads / wanted)^0.6), t = (g^k + c^k)^(1/k).
 *
 * @throws CoreError `unknown-preset`, `unknown-upscaling`, `bad-index`
 * @example a = b = 10, one megapixel, both indexes 100: g = c = 10 ms, t = 10 · 2^(1/5) = 11.49 ms
 */
export function frameTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): FrameTime {
  const preset = presetOf(workload, settings)
  const shortage = Math.max(1, preset.videoMemoryGb / machine.videoMemoryGb)
  const shortageFactor = shortageFactorOf(preset.videoMemoryGb, machine.videoMemoryGb, modelOf(workload))
  const graphicsMs = graphicsTime(workload, machine, settings) * shortageFactor
  const cpuMs = cpuTime(workload, machine, settings)
  return { graphicsMs, cpuMs, shortage, shortageFactor, ...joinSides(graphicsMs, cpuMs, modelOf(workload)) }
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

/** Factor on graphics time where video memory is short of the need: 1 + 1.5 · (need/have − 1), at least 1. */
export function shortageFactorOf(
  needGb: number,
  haveGb: number,
  { shortageFactor }: Pick<PerformanceAssumptions, 'shortageFactor'>,
): number {
  return 1 + shortageFactor * (Math.max(1, needGb / haveGb) - 1)
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
    throw new CoreError('unknown-preset', `${workload.name} has no preset "${settings.preset}"`, 'preset')
  return preset
}

function graphicsTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.graphicsIndex > 0))
    throw new CoreError(
      'bad-index',
      `a graphics index must be above 0, not ${machine.graphicsIndex}`,
      'graphicsIndex',
    )
  const upscaling = settings.upscaling ? workload.upscaling[settings.upscaling] : 1
  if (upscaling === undefined)
    throw new CoreError(
      'unknown-upscaling',
      `${workload.name} has no upscaling "${settings.upscaling}"`,
      'upscaling',
    )
  return (
    (workload.graphicsMs *
      megapixels(settings) ** workload.pixelExponent *
      presetOf(workload, settings).graphics *
      upscaling *
      100) /
    machine.graphicsIndex
  )
}

function cpuTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.cpuIndex > 0))
    throw new CoreError('bad-index', `a CPU index must be above 0, not ${machine.cpuIndex}`, 'cpuIndex')
  const model = modelOf(workload)
  const threads = threadsShare(machine.threads, workload.threadsWanted, model)
  const channels = machine.memoryChannels >= 2 ? 1 : model.singleChannelFactor
  const speed = machine.memorySlow ? model.slowMemoryFactor : 1
  return (
    (workload.cpuMs * presetOf(workload, settings).cpu * channels * speed * 100) /
    (machine.cpuIndex * threads)
  )
}
