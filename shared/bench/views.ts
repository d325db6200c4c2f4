import type { Role } from '#core/parts/part'
import type { NextMeasurement } from '#core/performance/fitting/nextMeasurement'
import type { FrameEstimate } from '#core/performance/model/estimateFrameRate'
import type { FrameMachine } from '#core/performance/model/frameTime'
import type { ValueStep } from '#core/performance/model/frameValue'
import type { TargetVerdict } from '#core/performance/model/judgeTarget'
import type { Feeling, WorkEstimate, WorkTask } from '#core/performance/model/throughput'
import type { FrameSettings } from '#core/performance/model/workload'
import type { Forecast, ForecastRecord, KeptForecast } from '#core/performance/runs/forecast'
import type { LivingVerdict, Noise } from '#core/performance/runs/livingWithIt'
import type { LowsCause, Repeat, RunConditions, RunKind, RunReadings } from '#core/performance/runs/run'

export interface TargetView {
  readonly id: string
  readonly workloadId: string
  readonly workload: string
  readonly width: number
  readonly height: number
  readonly preset: string
  /** Upscaling mode that the target counts on; null: none. */
  readonly upscaling: string | null
  readonly frameGeneration: boolean
  readonly averageFps: number
  readonly lowFps: number | null
  readonly estimate: FrameEstimate | null
  readonly verdict: TargetVerdict | null
  readonly missing: readonly string[]
  /** What the machine's own runs say of throttling (`throttleNote`); null where none throttled. */
  readonly heat: string | null
  /** Measured results of the very same parts at these settings. */
  readonly measured: readonly {
    readonly id: string
    readonly averageFps: number
    readonly lowFps: number | null
    readonly kind: RunKind
    readonly ranOn: string
    readonly note: string
    /** Why it is left out; null where it counts. */
    readonly excluded: string | null
    /** Whether it takes the place of the estimate: the builder's own, and nothing speaks against it. */
    readonly stands: boolean
  }[]
}

/** A measured result as the bench shows it. */
export interface RunView {
  readonly id: string
  readonly workloadId: string
  readonly workload: string
  readonly pair: string
  readonly machine: string
  readonly isThisMachine: boolean
  readonly kind: RunKind
  readonly settings: FrameSettings
  readonly scene: string
  readonly averageFps: number
  readonly lowFps: number | null
  readonly minFps: number | null
  readonly maxFps: number | null
  readonly repeats: readonly Repeat[]
  readonly spread: number | null
  readonly conditions: RunConditions
  readonly readings: RunReadings
  readonly lowsCause: LowsCause | null
  readonly noise: Noise | null
  readonly feeling: Feeling | null
  readonly origin: string
  readonly ranOn: string
  readonly note: string
  readonly excluded: string | null
  readonly overruled: boolean
  /** What the fit says of it: ln of measured over fitted frame time, and against a fit without this pair of parts. */
  readonly residual: { readonly fitted: number; readonly leftOut: number } | null
  readonly logs: readonly { readonly id: string; readonly name: string; readonly frames: number }[]
}

/** What the bench says of a target beyond its estimate. */
export interface BenchTarget {
  readonly id: string
  readonly graphicsNeeded: number | null
  readonly cpuNeeded: number | null
  readonly nextCard: { readonly name: string; readonly gain: number } | null
  readonly nextCpu: { readonly name: string; readonly gain: number } | null
  /** The cheapest change that reaches it; null where it is reached, or nothing at hand does. */
  readonly change: {
    readonly name: string
    readonly role: Role
    readonly more: number
    readonly fps: number
  } | null
  readonly measure: NextMeasurement
}

/** Bench of a build. */
export interface BenchView {
  readonly machine: FrameMachine | null
  readonly pair: string | null
  readonly targets: readonly BenchTarget[]
  readonly runs: readonly RunView[]
  /** Machines that have runs. */
  readonly machines: readonly { readonly pair: string; readonly name: string; readonly runs: number }[]
  readonly forecasts: readonly (Forecast & {
    readonly workload: string
    readonly settings: string
    readonly madeOn: string
    readonly kept: KeptForecast | null
  })[]
  readonly record: readonly (ForecastRecord & { readonly workload: string })[]
  readonly tasks: readonly (WorkTask & {
    readonly estimate: WorkEstimate | null
    readonly results: readonly {
      readonly id: string
      readonly cpu: string
      readonly value: number
      readonly feeling: Feeling | null
      readonly kind: string
      readonly ranOn: string
      readonly note: string
      readonly isThisMachine: boolean
    }[]
  })[]
  readonly value: {
    readonly anyone: readonly ValueStep[]
    readonly paid: readonly ValueStep[]
    readonly leftOut: readonly string[]
  }
  readonly living: readonly LivingVerdict[]
}
