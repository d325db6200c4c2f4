import { markQuantiles } from './marks'
import { convertAmount, noRate, rateTable, type ExchangeRate } from '../../money/rates'
import { roundHalfAway } from '../../money/decimal'
import { CoreError } from '../../errors/coreError'
import { compareText } from '../../text/compareText'
import type { Dropped, DropReason } from '../../reading/titles/dropReasons'
import { dropOutliers } from '../sieve/dropOutliers'
import { findDuplicates } from '../sieve/findDuplicates'
import { gradeOf, type Grade } from './grade'
import { priceQueryDefaults, type PriceQuery } from '../../reading/titles/priceQuery'
import { weightedQuantileSorted } from '../../statistics/weightedQuantileSorted'
import type { PriceFlow } from '../patience/patience'
import { Sieve } from '../../reading/titles/sieve'
import { manners as allManners, type Manner, type SoldRecord } from '../../reading/sales/soldRecord'
import { normaliseTitle } from '../../reading/titles/normaliseTitle'
import { hashText } from '../../reading/titles/titleScanner'
import { trendOfColumns, type Trend } from '../trend/trend'

/** The builder's word on a record: kept whatever the sieve says, or dropped. */
export type Override = 'keep' | 'drop'

/** A record that counts. */
export interface Kept {
  readonly id: string
  /** Minor units of the query's currency. */
  readonly unitPrice: number
  /** 0.5^(age / half-life); 1 for a sale of today. */
  readonly weight: number
}

/** What a part realistically sells for. Amounts in minor units of the query's currency. */
export interface StreetPrice {
  readonly kept: readonly Kept[]
  readonly dropped: readonly Dropped[]
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
  /** 90 % confidence interval of the typical mark. */
  readonly interval: { readonly low: number; readonly high: number } | null
  readonly effectiveCount: number
  readonly grade: Grade
  readonly trend: Trend | null
  /** Kept records a day. */
  readonly perDay: number
  /** Manners with three or more comps. */
  readonly byManner: readonly { readonly manner: Manner; readonly count: number; readonly typical: number }[]
  /** The comps as `patience.ts` needs them. */
  readonly flow: PriceFlow
  /** Of an open part: the part of the library whose street price stands for it. */
  readonly standsFor?: string
}

export interface StreetPriceOptions {
  readonly rates?: readonly ExchangeRate[]
  /** By record id; an override applies to every record of that id. */
  readonly overrides?: Readonly<Record<string, Override>>
  /**
   * What happens to a record that counts and cannot be converted: `refuse` throws `no-rate` (default), `drop` leaves
   * it out with reason `price`, so that one stray currency does not take the other records with it.
   */
  readonly missingRate?: 'refuse' | 'drop'
  /** Told now and then how many of the records have been sieved; the largest part of the work. */
  readonly onProgress?: (done: number, total: number) => void
}

const z90 = 1.645
const fewestPerManner = 3

/**
 * The street price of docs/formulas.md (Street price): unit prices → sieve → far from the rest → weights → marks,
 * interval, grade, trend, gap between manners. The result does not depend on the order of the records (except the
 * order in which kept and dropped are listed, which follows the input). O(n log n); a few microseconds a record.
 *
 * `marks` and `interval` are null where no record is kept. Throws `no-rate` where a record that counts cannot be
 * converted, `not-a-date`, `unknown-currency`, `bad-query` for a window or half-life that is not positive.
 *
 * @example three sales of 100.00, 110.00 and 120.00 today: typical 110.00, effective count 3, grade thin
 */
export function streetPrice(
  query: PriceQuery,
  records: readonly SoldRecord[],
  options: StreetPriceOptions = {},
): StreetPrice {
  checkQuery(query)
  const sifted = sift(query, records, options)
  return readComps(query, records, sifted)
}

/** The sieve's outcome, as columns: one entry a comp. */
interface Sifted {
  /** Index into the records. */
  readonly comps: Int32Array
  /** Unit price of each comp. */
  readonly unitPrices: Float64Array
  readonly dropped: Dropped[]
  /** Day number of each record. */
  readonly days: Float64Array
  readonly sieve: Sieve
}

function checkQuery(query: PriceQuery): void {
  for (const key of ['windowDays', 'halfLifeDays'] as const) {
    if (!(query[key] > 0)) throw new CoreError('bad-query', { key, value: query[key] }, `query.${key}`)
  }
}

function sift(query: PriceQuery, records: readonly SoldRecord[], options: StreetPriceOptions): Sifted {
  const sieve = new Sieve(query)
  const overrides = new Map(Object.entries(options.overrides ?? {}))
  const verdicts = new Map<number, { reason: DropReason; detail: string }>()
  const forced = new Set<number>()
  const passed: number[] = []
  const days = new Float64Array(records.length)
  const titleHashes = new Float64Array(records.length)
  for (let i = 0; i < records.length; i += 1) {
    if (i % 8192 === 0) options.onProgress?.(i, records.length)
    const record = records[i]!
    const day = sieve.day(record.soldOn)
    days[i] = day
    const override = overrides.size > 0 ? overrides.get(record.id) : undefined
    if (override === 'drop') verdicts.set(i, { reason: 'builder', detail: 'dropped by you' })
    else if (override === 'keep') forced.add(i)
    else {
      const verdict = sieve.judge(record, day)
      if (verdict) verdicts.set(i, verdict)
      else {
        titleHashes[i] = sieve.lastTitleHash()
        passed.push(i)
      }
    }
  }
  dropDuplicates(records, days, titleHashes, passed, verdicts)
  const survivors = passed.filter((i) => !verdicts.has(i))
  if (forced.size > 0) {
    survivors.push(...forced)
    survivors.sort((a, b) => a - b)
  }
  const priced = priceUnits(query, records, survivors, options, verdicts)
  const outliers = dropOutliers(priced.unitPrices, (position) => forced.has(priced.indices[position]!))
  for (const [position, scales] of outliers) {
    verdicts.set(priced.indices[position]!, {
      reason: 'outlier',
      detail: `outlier: ${scales.toFixed(1)} scales from the rest; the limit is 3.5`,
    })
  }
  const comps = new Int32Array(priced.indices.length - outliers.size)
  const unitPrices = new Float64Array(comps.length)
  let count = 0
  for (let position = 0; position < priced.indices.length; position += 1) {
    if (outliers.has(position)) continue
    comps[count] = priced.indices[position]!
    unitPrices[count] = priced.unitPrices[position]!
    count += 1
  }
  return {
    comps,
    unitPrices,
    dropped: [...verdicts]
      .sort(([a], [b]) => a - b)
      .map(([index, verdict]) => ({ id: records[index]!.id, ...verdict })),
    days,
    sieve,
  }
}

function dropDuplicates(
  records: readonly SoldRecord[],
  days: Float64Array,
  titleHashes: Float64Array,
  passed: readonly number[],
  verdicts: Map<number, { reason: DropReason; detail: string }>,
): void {
  const identityHash = new Float64Array(passed.length)
  const lookHash = new Float64Array(passed.length)
  const sourceHashes = new Map<string, number>()
  const hashOfSource = (source: string) => {
    const known = sourceHashes.get(source)
    if (known !== undefined) return known
    const hash = hashText(source) % 0x3ffffff
    sourceHashes.set(source, hash)
    return hash
  }
  for (let position = 0; position < passed.length; position += 1) {
    const record = records[passed[position]!]!
    identityHash[position] = hashOfSource(record.source) * 0x3ffffff + (hashText(record.id) % 0x3ffffff)
    lookHash[position] =
      (titleHashes[passed[position]!]! + record.price * 0x10001 + days[passed[position]!]! * 0x1000003) %
      Number.MAX_SAFE_INTEGER
  }
  const doubles = findDuplicates({
    identityHash,
    lookHash,
    keys(position) {
      const { source, id, title, price, currency } = records[passed[position]!]!
      return {
        day: days[passed[position]!]!,
        source,
        id,
        look: `${normaliseTitle(title).join(' ')} ${price} ${currency}`,
      }
    },
  })
  for (const [position, original] of doubles) {
    verdicts.set(passed[position]!, {
      reason: 'duplicate',
      detail: `duplicate of ${records[passed[original]!]!.id}`,
    })
  }
}

function priceUnits(
  query: PriceQuery,
  records: readonly SoldRecord[],
  survivors: readonly number[],
  { rates = [], missingRate = 'refuse' }: StreetPriceOptions,
  verdicts: Map<number, { reason: DropReason; detail: string }>,
): { indices: number[]; unitPrices: number[] } {
  const table = rateTable(rates)
  const indices: number[] = []
  const unitPrices: number[] = []
  for (const i of survivors) {
    const { price, shipping, quantity, currency, soldOn } = records[i]!
    const whole = price + shipping
    const isPlain = currency === query.currency && (quantity ?? 1) === 1
    const rate = isPlain
      ? 1
      : missingRate === 'drop'
        ? table.find(soldOn, currency, query.currency)
        : table.rateOn(soldOn, currency, query.currency)
    if (rate === null) {
      verdicts.set(i, { reason: 'price', detail: noRate(soldOn, currency, query.currency) })
      continue
    }
    const unitPrice = isPlain ? whole : convertAmount(whole, currency, query.currency, rate, quantity ?? 1)
    if (unitPrice > 0) {
      indices.push(i)
      unitPrices.push(unitPrice)
    } else verdicts.set(i, { reason: 'price', detail: 'a unit price of zero or less' })
  }
  return { indices, unitPrices }
}

function readComps(
  query: PriceQuery,
  records: readonly SoldRecord[],
  { comps, unitPrices, dropped, days, sieve }: Sifted,
): StreetPrice {
  const {
    halfLifeDays,
    windowDays,
    coveredDays = windowDays,
    catchShare = priceQueryDefaults.catchShare,
    seed = priceQueryDefaults.seed,
  } = query
  const count = comps.length
  const weights = floats(
    comps.length,
    (position) => 0.5 ** (sieve.age(days[comps[position]!]!) / halfLifeDays),
  )
  const order = orderByPrice(records, comps, unitPrices, days)
  const sortedPrices = floats(count, (at) => unitPrices[order[at]!]!)
  const sortedWeights = floats(count, (at) => weights[order[at]!]!)
  const sortedManners = mannerColumn(records, comps, order)
  let sum = 0
  let squares = 0
  for (let at = 0; at < count; at += 1) {
    sum += sortedWeights[at]!
    squares += sortedWeights[at]! * sortedWeights[at]!
  }
  const effectiveCount = count === 0 ? 0 : (sum * sum) / squares
  const perDay = coveredDays > 0 ? count / coveredDays : 0
  const at = (q: number) => weightedQuantileSorted(sortedPrices, sortedWeights, q)
  const spread = z90 * Math.sqrt(0.25 / effectiveCount)
  let trend: Trend | null | undefined
  const [low, typical, high] =
    count === 0 ? [0, 0, 0] : [at(Math.max(0, 0.5 - spread)), at(0.5), at(Math.min(1, 0.5 + spread))]
  return {
    kept: listKept(records, comps, unitPrices, weights),
    dropped,
    marks:
      count === 0
        ? null
        : {
            patient: roundHalfAway(at(markQuantiles.patient)),
            typical: roundHalfAway(typical),
            hurried: roundHalfAway(at(markQuantiles.hurried)),
          },
    interval: count === 0 ? null : { low: roundHalfAway(low), high: roundHalfAway(high) },
    effectiveCount,
    grade: gradeOf(count, effectiveCount, typical > 0 ? (high - low) / 2 / typical : Infinity),
    get trend() {
      // the dearest figure of a reading, and most readers never ask for it: read when it is
      if (trend === undefined)
        trend = trendOfColumns(
          {
            days: floats(count, (at) => days[comps[order[at]!]!]!),
            logs: floats(count, (at) => Math.log(sortedPrices[at]!)),
            manners: sortedManners,
          },
          seed,
        )
      return trend
    },
    perDay,
    byManner: readManners(sortedManners, sortedPrices, sortedWeights),
    flow: { prices: sortedPrices, weights: sortedWeights, perDay, catchShare },
  }
}

/** A column by a function of its row; a plain loop, since `Float64Array.from` is ten times slower. */
function floats(length: number, at: (row: number) => number): Float64Array {
  const column = new Float64Array(length)
  for (let row = 0; row < length; row += 1) column[row] = at(row)
  return column
}

function listKept(
  records: readonly SoldRecord[],
  comps: Int32Array,
  unitPrices: Float64Array,
  weights: Float64Array,
): Kept[] {
  const kept: Kept[] = new Array(comps.length)
  for (let position = 0; position < comps.length; position += 1) {
    kept[position] = {
      id: records[comps[position]!]!.id,
      unitPrice: unitPrices[position]!,
      weight: weights[position]!,
    }
  }
  return kept
}

/** Positions by price, ties by date, source, id. */
function orderByPrice(
  records: readonly SoldRecord[],
  comps: Int32Array,
  unitPrices: Float64Array,
  days: Float64Array,
): Int32Array {
  const order = orderByNumbers(comps, unitPrices, days)
  const bySource = (a: number, b: number) => {
    const [left, right] = [records[comps[a]!]!, records[comps[b]!]!]
    return compareText(left.source, right.source) || compareText(left.id, right.id)
  }
  let start = 0
  for (let at = 1; at <= order.length; at += 1) {
    const same =
      at < order.length &&
      unitPrices[order[at]!] === unitPrices[order[start]!] &&
      days[comps[order[at]!]!] === days[comps[order[start]!]!]
    if (same) continue
    if (at - start > 1) order.subarray(start, at).sort(bySource)
    start = at
  }
  return order
}

/** Positions by price, then day. Where price, day and position fit into 53 bits together, one plain sort of numbers does it. */
function orderByNumbers(comps: Int32Array, unitPrices: Float64Array, days: Float64Array): Int32Array {
  const count = comps.length
  let [firstDay, lastDay, highest] = [Infinity, -Infinity, 0]
  for (let position = 0; position < count; position += 1) {
    firstDay = Math.min(firstDay, days[comps[position]!]!)
    lastDay = Math.max(lastDay, days[comps[position]!]!)
    highest = Math.max(highest, unitPrices[position]!)
  }
  const span = lastDay - firstDay + 1
  if (!((highest + 1) * span * count < Number.MAX_SAFE_INTEGER)) {
    return Int32Array.from(comps.keys()).sort(
      (a, b) => unitPrices[a]! - unitPrices[b]! || days[comps[a]!]! - days[comps[b]!]!,
    )
  }
  const keys = floats(
    count,
    (position) => (unitPrices[position]! * span + days[comps[position]!]! - firstDay) * count + position,
  ).sort()
  const order = new Int32Array(count)
  for (let at = 0; at < count; at += 1) order[at] = keys[at]! % count
  return order
}

/** Number of each comp's manner in price order; read in record order first, since jumping about in a million records is slow. */
function mannerColumn(records: readonly SoldRecord[], comps: Int32Array, order: Int32Array): Uint8Array {
  const byPosition = new Uint8Array(comps.length)
  for (let position = 0; position < comps.length; position += 1)
    byPosition[position] = allManners.indexOf(records[comps[position]!]!.manner)
  const sorted = new Uint8Array(comps.length)
  for (let at = 0; at < sorted.length; at += 1) sorted[at] = byPosition[order[at]!]!
  return sorted
}

function readManners(
  manners: Uint8Array,
  prices: Float64Array,
  weights: Float64Array,
): StreetPrice['byManner'] {
  return allManners.flatMap((manner, number) => {
    const isOwn = (_: number, at: number) => manners[at] === number
    const own = prices.filter(isOwn)
    if (own.length < fewestPerManner) return []
    return [
      {
        manner,
        count: own.length,
        typical: roundHalfAway(weightedQuantileSorted(own, weights.filter(isOwn), 0.5)),
      },
    ]
  })
}
