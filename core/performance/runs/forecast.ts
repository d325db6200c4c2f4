import { medianSorted } from '../../statistics/medianSorted'

/** An estimate frozen when the machine was bought. */
export interface Forecast {
  readonly id: string
  readonly workloadId: string
  readonly averageFps: number
  readonly range: { readonly low: number; readonly high: number }
}

/** A forecast beside the first run at its settings. */
export interface KeptForecast extends Forecast {
  readonly measured: number
  /** Measured over forecast, less one: above zero, faster than said. */
  readonly error: number
  readonly inRange: boolean
}

/** Error of what was forecast, per workload: median of the errors, and how often the range held. */
export interface ForecastRecord {
  readonly workloadId: string
  readonly count: number
  readonly medianError: number
  readonly heldShare: number
}

/** Holds a forecast against what was measured. */
export function keepForecast(forecast: Forecast, measured: number): KeptForecast {
  return {
    ...forecast,
    measured,
    error: measured / forecast.averageFps - 1,
    inRange: measured >= forecast.range.low && measured <= forecast.range.high,
  }
}

export function forecastRecord(kept: readonly KeptForecast[]): ForecastRecord[] {
  return [...new Set(kept.map((each) => each.workloadId))].map((workloadId) => {
    const own = kept.filter((each) => each.workloadId === workloadId)
    return {
      workloadId,
      count: own.length,
      medianError: medianSorted(own.map((each) => each.error).sort((a, b) => a - b)),
      heldShare: own.filter((each) => each.inRange).length / own.length,
    }
  })
}
