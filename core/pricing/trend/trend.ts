import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { compareText } from '../../text/compareText'
import { medianSorted } from '../../statistics/medianSorted'

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

/** The comps as columns, in an order that does not depend on how they came (by price and day). */
export interface TrendColumns {
  readonly days: Float64Array
  /** ln of each price. */
  readonly logs: Float64Array
  /** Number of each comp's sale type, from 0. */
  readonly manners: Uint8Array
}

/**
 * Theil–Sen slope of ln(price) over days, with Sen's rank-based interval (variance of Kendall's S corrected for ties
 * in both variables). Unweighted; each sale type is first reduced by its own median, so that a change in the mix
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
  const ordered = [...points].sort(
    (a, b) => a.price - b.price || a.day - b.day || compareText(a.manner, b.manner),
  )
  const names = [...new Set(points.map((point) => point.manner))].sort()
  return trendOfColumns(
    {
      days: Float64Array.from(ordered, (point) => point.day),
      logs: Float64Array.from(ordered, (point) => Math.log(point.price)),
      manners: Uint8Array.from(ordered, (point) => names.indexOf(point.manner)),
    },
    seed,
  )
}

/** As `priceTrend`, for columns already in an order of their own; a million comps take a second. */
export function trendOfColumns(columns: TrendColumns, seed = 1): Trend | null {
  const { days } = columns
  if (days.length < fewestRecords || new Set(days).size < fewestDates) return null
  const residuals = withoutMannerMedians(columns)
  const sampled = days.length > exactUpTo
  const slopes = sampled ? sampledSlopes(days, residuals, seed) : allSlopes(days, residuals)
  slopes.sort()
  const [dayTies, valueTies] = [tieSizes(days), tieSizes(residuals)]
  const pairs = sampled ? countDatedPairs(days.length, dayTies) : slopes.length
  const halfRank = (z90 * Math.sqrt(varianceOfS(days.length, dayTies, valueTies))) / pairs
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

function withoutMannerMedians({ logs, manners }: TrendColumns): Float64Array {
  const medians = new Float64Array(256)
  for (const manner of new Set(manners))
    medians[manner] = medianSorted(logs.filter((_, i) => manners[i] === manner).sort())
  const residuals = new Float64Array(logs.length)
  for (let i = 0; i < logs.length; i += 1) residuals[i] = logs[i]! - medians[manners[i]!]!
  return residuals
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

function countDatedPairs(n: number, dayTies: readonly number[]): number {
  return (n * (n - 1)) / 2 - dayTies.reduce((sum, t) => sum + (t * (t - 1)) / 2, 0)
}

function varianceOfS(n: number, dayTies: readonly number[], valueTies: readonly number[]): number {
  const term = (t: number) => t * (t - 1) * (2 * t + 5)
  return Math.max(0, (term(n) - [...dayTies, ...valueTies].reduce((sum, t) => sum + term(t), 0)) / 18)
}

/** Sizes of the groups of equal values, of two or more. */
function tieSizes(values: Float64Array): number[] {
  const sorted = values.slice().sort()
  const sizes: number[] = []
  let start = 0
  for (let i = 1; i <= sorted.length; i += 1) {
    if (i < sorted.length && sorted[i] === sorted[start]) continue
    if (i - start > 1) sizes.push(i - start)
    start = i
  }
  return sizes
}

/** The formula in words, for its working. */
export const trendFormula =
  'median of the slopes between all pairs of comps (ln price over days), each sale ' +
  'type first centred on its own median; interval: Sen, by ranks'
