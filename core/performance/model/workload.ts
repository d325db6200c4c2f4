import type { PerformanceAssumptions } from '../../assumptions/groups/performance'

/** Settings a frame is priced at. */
export interface FrameSettings {
  readonly width: number
  readonly height: number
  /** Name of one of the workload's presets. */
  readonly preset: string
  /** Name of an upscaling mode, or left out for none. */
  readonly upscaling?: string | null
  /** Whether generated frames count in the average; they never count in the lows. */
  readonly frameGeneration?: boolean
}

/** What a preset costs against the reference preset. */
export interface PresetCost {
  /** Factor on graphics time. */
  readonly graphics: number
  /** Factor on CPU time. */
  readonly cpu: number
  /** Video memory it needs at the reference resolution, GB. */
  readonly videoMemoryGb: number
}

/**
 * What is needed to price a frame of a game. `graphicsMs` and `cpuMs` are the times at index 100, one megapixel and
 * the reference preset; the library's defaults are priors that measured runs will move.
 */
export interface Workload {
  readonly id: string
  readonly name: string
  readonly kind: string
  /** a: ms · index/100 at one megapixel, above 0. */
  readonly graphicsMs: number
  /** b: ms · index/100, above 0. */
  readonly cpuMs: number
  /** α: exponent of pixels, at least 0.1. */
  readonly pixelExponent: number
  readonly threadsWanted: number
  /** 1 % low as a share of the average where graphics limits, and where the CPU does. */
  readonly lowShare: { readonly graphics: number; readonly cpu: number }
  readonly presets: Readonly<Record<string, PresetCost>>
  /** Factor on graphics time by upscaling mode. */
  readonly upscaling: Readonly<Record<string, number>>
  readonly frameGenerationFactor: number
  /** The engine's own limit, frames a second; left out: none. */
  readonly frameCap?: number
  /** System memory it wishes for, GB; left out: not known. */
  readonly systemMemoryGb?: number
  /** Prior standard deviation of ln a and ln b: how far off the library's defaults may be. */
  readonly priorSpread: number
  /** The assumptions of the frame model in force; left out: the defaults. */
  readonly model?: PerformanceAssumptions
  /** How far runs back it; left out where none has been fitted. */
  readonly fit?: WorkloadFit
}

/** What a fit to runs says of its own trust. The figures above are then the fitted ones. */
export interface WorkloadFit {
  /** Runs that counted. */
  readonly runs: number
  /** s: spread of a new result about the fit, in ln t. */
  readonly residualSpread: number
  /** Spread of ln(low / average) about the fit. */
  readonly lowSpread: number
  /** Covariance of (ln a, ln b, α), priors included. */
  readonly covariance: readonly (readonly number[])[]
  /** Factor on frame time by scene, against the reference scene. */
  readonly scenes: Readonly<Record<string, number>>
  readonly residuals: readonly RunResidual[]
  /** The library's defaults that the fit began from. */
  readonly prior: Pick<Workload, 'graphicsMs' | 'cpuMs' | 'pixelExponent' | 'lowShare'>
}

export interface RunResidual {
  readonly runId: string
  /** The parts it was measured on; left out by fits of before. */
  readonly pair?: string
  /** ln of frame time measured over fitted: above zero, slower than the fit says. */
  readonly fitted: number
  /** The same against a fit that left out every run on this pair of parts. */
  readonly leftOut: number
  readonly weight: number
}
