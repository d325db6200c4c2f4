import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { medianSorted } from '../statistics/medianSorted'

/** Movement of a price, in percent per 30 days, with its 90 % interval. */
export interface Trend {
  readonly percentPer30Days: number
  readonly low: number
  readonly high: number
  /** Rising or falling only where the interval excludes zero. */
  readonly direction: 'rising' | 'falling' | 'unclear'
  /** Number of pairs the slope was sampled from, or 0 where all pairs were used. */
  readonly sampledPairs: number
}

/** One comp as the trend sees it. */
export interface TrendPoint {
  readonly day: number
  readonly price: number
  readonly manner: string
}

const z90 = 1.645
const fewestRecords = 5
const fewestDates = 3
const exactUpTo = 2000
const sampleSize = 200_000

/**
 * Theil–Sen slope of ln(price) over days, with Sen's rank-based interval (variance of Kendall's S corrected for ties
 * in both variables). Unweighted; each manner of sale is first reduced by its own median, so that a change in the mix
 * is not taken for a trend; pairs of equal date are left out. Above 2 000 records 200 000 seeded pairs stand for all:
 * the sampled median slope then sits within about ±0.2 percentiles of the full one.
 *
 * Source: Sen, P. K. (1968), Estimates of the regression coefficient based on Kendall's tau.
 *
 * @param points comps with positive prices
 * @param seed of the pair sample
 * @returns null under 5 records or 3 dates
 */
export function priceTrend(points: readonly TrendPoint[], seed = 1): Trend | null {
  if (points.length < fewestRecords || new Set(points.map((point) => point.day)).size < fewestDates) return null
  // an order of their own, so that neither the slope nor the sample depends on the order of the input
  const ordered = [...points].sort((a, b) => a.day - b.day || a.price - b.price || (a.manner < b.manner ? -1 : a.manner > b.manner ? 1 : 0))
  const days = Float64Array.from(ordered, (point) => point.day)
  const residuals = withoutMannerMedians(ordered)
  const sampled = ordered.length > exactUpTo
  const slopes = sampled ? sampledSlopes(days, residuals, seed) : allSlopes(days, residuals)
  slopes.sort()
  const pairs = sampled ? countDatedPairs(days) : slopes.length
  const halfRank = (z90 * Math.sqrt(varianceOfS(days, residuals))) / pairs
  const slope = medianSorted(slopes)
  const [lowSlope, highSlope] = sampled
    ? [atShare(slopes, 0.5 - halfRank / 2), atShare(slopes, 0.5 + halfRank / 2)]
    : intervalByRank(slopes, halfRank * pairs)
  const low = toPercent(lowSlope)
  const high = toPercent(highSlope)
  return {
    percentPer30Days: toPercent(slope),
    low,
    high,
    direction: low > 0 ? 'rising' : high < 0 ? 'falling' : 'unclear',
    sampledPairs: sampled ? slopes.length : 0,
  }
}

function toPercent(slope: number): number {
  return 100 * Math.expm1(30 * slope)
}

function withoutMannerMedians(points: readonly TrendPoint[]): Float64Array {
  const byManner = new Map<string, number[]>()
  for (const point of points) {
    const list = byManner.get(point.manner)
    if (list) list.push(Math.log(point.price))
    else byManner.set(point.manner, [Math.log(point.price)])
  }
  const medians = new Map([...byManner].map(([manner, logs]) => [manner, medianSorted(logs.sort((a, b) => a - b))]))
  return Float64Array.from(points, (point) => Math.log(point.price) - medians.get(point.manner)!)
}

function allSlopes(days: Float64Array, values: Float64Array): Float64Array {
  const slopes = new Float64Array((days.length * (days.length - 1)) / 2)
  let count = 0
  for (let i = 0; i < days.length; i += 1) {
    for (let j = i + 1; j < days.length; j += 1) {
      const span = days[j]! - days[i]!
      if (span !== 0) slopes[count++] = (values[j]! - values[i]!) / span
    }
  }
  return slopes.subarray(0, count)
}

function sampledSlopes(days: Float64Array, values: Float64Array, seed: number): Float64Array {
  const random = xoroshiro128plus(seed)
  const slopes = new Float64Array(sampleSize)
  let count = 0
  for (let tries = 0; count < sampleSize && tries < sampleSize * 20; tries += 1) {
    const i = uniformInt(random, 0, days.length - 1)
    const j = uniformInt(random, 0, days.length - 1)
    const span = days[j]! - days[i]!
    if (span !== 0) slopes[count++] = (values[j]! - values[i]!) / span
  }
  return slopes.subarray(0, count)
}

function intervalByRank(slopes: Float64Array, width: number): [number, number] {
  const lowRank = Math.max(Math.round((slopes.length - width) / 2) - 1, 0)
  const highRank = Math.min(Math.round((slopes.length + width) / 2), slopes.length - 1)
  return [slopes[lowRank]!, slopes[highRank]!]
}

function atShare(sorted: Float64Array, share: number): number {
  const index = Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))
  return sorted[index]!
}

function countDatedPairs(days: Float64Array): number {
  const n = days.length
  return (n * (n - 1)) / 2 - tieSizes(days).reduce((sum, t) => sum + (t * (t - 1)) / 2, 0)
}

function varianceOfS(days: Float64Array, values: Float64Array): number {
  const term = (t: number) => t * (t - 1) * (2 * t + 5)
  const ties = [...tieSizes(days), ...tieSizes(values)].reduce((sum, t) => sum + term(t), 0)
  return Math.max(0, (term(days.length) - ties) / 18)
}

function tieSizes(values: Float64Array): number[] {
  const counts = new Map<number, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts.values()].filter((size) => size > 1)
}
