import { CoreError } from '../coreError'
import type { FrameSettings, Workload } from './workload'

/** The machine as far as frames are concerned. Indexes relative to 100. */
export interface FrameMachine {
  readonly cpuIndex: number
  readonly threads: number
  readonly graphicsIndex: number
  readonly videoMemoryGb: number
  /** Memory channels filled; 1 slows the CPU side. */
  readonly memoryChannels: number
}

/** Which side a frame waits for. */
export type Limit = 'graphics' | 'cpu' | 'balanced'

/** One predicted result, with its working. Rates in frames a second, times in ms. */
export interface FrameEstimate {
  readonly averageFps: number
  readonly lowFps: number
  /** 90 % range of the average. */
  readonly range: { readonly low: number; readonly high: number }
  readonly lowRange: { readonly low: number; readonly high: number }
  /** Shown rate with generated frames, where switched on; they add no responsiveness. */
  readonly generatedFps: number | null
  readonly graphicsMs: number
  readonly cpuMs: number
  readonly frameMs: number
  /** Share of the limit on the graphics side, 0 to 1. */
  readonly graphicsShare: number
  readonly limit: Limit
  /** Video memory needed over had, at least 1; above 1 frames wait for it. */
  readonly videoMemoryShortage: number
  /** True where too few runs stand behind it (none yet: the library's defaults alone). */
  readonly rough: boolean
}

/** Assumptions of the method; documented defaults. */
export const estimateAssumptions = {
  /** k: how sharply the slower side alone decides. */
  sharpness: 5,
  /** Exponent of the penalty for too few threads. */
  threadsExponent: 0.6,
  /** CPU time with one memory channel instead of two. */
  singleChannelFactor: 1.12,
  /** s: spread of a single result about a perfect model. */
  residualSpread: 0.05,
  graphicsLimitedFrom: 0.65,
  cpuLimitedUpTo: 0.35,
  z90: 1.645,
} as const

/**
 * Estimate of `calculations.md` 10 with the workload's default parameters:
 * g = a · pixels^α · preset · upscaling / graphics index, c = b · preset's CPU factor · memory factor /
 * (CPU index · min(1, threads / wanted)^0.6), t = (g^k + c^k)^(1/k), k = 5. Video memory short of the preset's need
 * multiplies g by 1 + 1.5 · (need/have − 1) and divides the low once more.
 *
 * Range = estimate · exp(±1.645 · √(s² + JᵀCJ)); without runs C is the prior's, so J = (share, 1 − share).
 * Never rises when a part gets slower, nor falls when the resolution falls.
 *
 * @throws CoreError `unknown-preset`, `unknown-upscaling`, `bad-index`
 * @example a = b = 10, one megapixel, both indexes 100: g = c = 10 ms, t = 10 · 2^(1/5) = 11.49 ms, 87.1 fps
 */
export function estimateFrameRate(workload: Workload, machine: FrameMachine, settings: FrameSettings): FrameEstimate {
  const { sharpness, residualSpread, z90, graphicsLimitedFrom, cpuLimitedUpTo } = estimateAssumptions
  const shortage = videoMemoryShortage(workload, machine, settings)
  const memoryPenalty = 1 + 1.5 * (shortage - 1)
  const graphicsMs = graphicsTime(workload, machine, settings) * memoryPenalty
  const cpuMs = cpuTime(workload, machine, settings)
  const slower = Math.max(graphicsMs, cpuMs)
  const g = (graphicsMs / slower) ** sharpness
  const c = (cpuMs / slower) ** sharpness
  const frameMs = slower * (g + c) ** (1 / sharpness)
  const graphicsShare = g / (g + c)
  const averageFps = 1000 / frameMs
  const lowShare = graphicsShare * workload.lowShare.graphics + (1 - graphicsShare) * workload.lowShare.cpu
  const lowFps = (averageFps * lowShare) / memoryPenalty
  const priorVariance = workload.priorSpread ** 2 * (graphicsShare ** 2 + (1 - graphicsShare) ** 2)
  const factor = Math.exp(z90 * Math.sqrt(residualSpread ** 2 + priorVariance))
  return {
    averageFps,
    lowFps,
    range: { low: averageFps / factor, high: averageFps * factor },
    lowRange: { low: lowFps / factor, high: lowFps * factor },
    generatedFps: settings.frameGeneration ? averageFps * workload.frameGenerationFactor : null,
    graphicsMs,
    cpuMs,
    frameMs,
    graphicsShare,
    limit: graphicsShare > graphicsLimitedFrom ? 'graphics' : graphicsShare < cpuLimitedUpTo ? 'cpu' : 'balanced',
    videoMemoryShortage: shortage,
    rough: true,
  }
}

function presetOf(workload: Workload, settings: FrameSettings) {
  const preset = workload.presets[settings.preset]
  if (!preset) throw new CoreError('unknown-preset', `${workload.name} has no preset "${settings.preset}"`, 'preset')
  return preset
}

function graphicsTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.graphicsIndex > 0)) throw new CoreError('bad-index', `a graphics index must be above 0, not ${machine.graphicsIndex}`, 'graphicsIndex')
  const megapixels = (settings.width * settings.height) / 1e6
  const upscaling = settings.upscaling === undefined ? 1 : workload.upscaling[settings.upscaling]
  if (upscaling === undefined) throw new CoreError('unknown-upscaling', `${workload.name} has no upscaling "${settings.upscaling}"`, 'upscaling')
  return (workload.graphicsMs * megapixels ** workload.pixelExponent * presetOf(workload, settings).graphics * upscaling * 100) / machine.graphicsIndex
}

function cpuTime(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  if (!(machine.cpuIndex > 0)) throw new CoreError('bad-index', `a CPU index must be above 0, not ${machine.cpuIndex}`, 'cpuIndex')
  const threads = Math.min(1, machine.threads / workload.threadsWanted) ** estimateAssumptions.threadsExponent
  const memory = machine.memoryChannels >= 2 ? 1 : estimateAssumptions.singleChannelFactor
  return (workload.cpuMs * presetOf(workload, settings).cpu * memory * 100) / (machine.cpuIndex * threads)
}

/** Video memory needed over had, at least 1. */
function videoMemoryShortage(workload: Workload, machine: FrameMachine, settings: FrameSettings): number {
  return Math.max(1, presetOf(workload, settings).videoMemoryGb / machine.videoMemoryGb)
}
