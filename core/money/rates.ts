import Big from 'big.js'
import { CoreError } from '../errors/coreError'
import { sentenceOf } from '../errors/problems'
import type { CalendarDate } from '../time/calendarDate'
import { minorDigits } from './currencies'
import { roundAmount } from './decimal'
import type { Currency } from './money'

/** One unit of `from` was worth `rate` units of `to` from `date` on. Rates are used as given, never inverted. */
export interface ExchangeRate {
  readonly date: CalendarDate
  readonly from: Currency
  readonly to: Currency
  readonly rate: number | string
}

/** A rate table prepared for look-ups. */
export interface RateTable {
  /** The last rate on or before `date`; throws `no-rate`, naming the pair and the date, where there is none. */
  rateOn(date: CalendarDate, from: Currency, to: Currency): number | string
  /** As `rateOn`; null where there is none. */
  find(date: CalendarDate, from: Currency, to: Currency): number | string | null
  /** The rate with the day it is of; null where there is none. */
  dated(date: CalendarDate, from: Currency, to: Currency): Omit<ExchangeRate, 'from' | 'to'> | null
}

/** Indexes a list of rates by pair; the order of the list does not matter. O(n log n). */
export function rateTable(rates: readonly ExchangeRate[]): RateTable {
  const byPair = new Map<string, ExchangeRate[]>()
  for (const rate of rates) {
    const pair = `${rate.from}>${rate.to}`
    const list = byPair.get(pair)
    if (list) list.push(rate)
    else byPair.set(pair, [rate])
  }
  for (const list of byPair.values()) list.sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))
  const dated: RateTable['dated'] = (date, from, to) => {
    if (from === to) return { date, rate: 1 }
    const list = byPair.get(`${from}>${to}`) ?? []
    let low = 0
    let high = list.length
    while (low < high) {
      const middle = (low + high) >> 1
      if (list[middle]!.date <= date) low = middle + 1
      else high = middle
    }
    return list[low - 1] ?? null
  }
  const find: RateTable['find'] = (date, from, to) => dated(date, from, to)?.rate ?? null
  return {
    find,
    dated,
    rateOn(date, from, to) {
      const rate = find(date, from, to)
      if (rate === null) throw new CoreError('no-rate', { from, to, on: date }, 'rates')
      return rate
    },
  }
}

/** The message where a rate is missing: the pair and the date. */
export function noRate(date: CalendarDate, from: Currency, to: Currency): string {
  return sentenceOf('no-rate', { from, to, on: date })
}

/**
 * (amount / quantity) converted at `rate` into another currency, rounded half away from zero once.
 * @param amount minor units of `from`
 */
export function convertAmount(
  amount: number,
  from: Currency,
  to: Currency,
  rate: number | string,
  quantity = 1,
): number {
  const shift = minorDigits(to) - minorDigits(from)
  return roundAmount(new Big(amount).times(rate).times(new Big(10).pow(shift)).div(quantity))
}

/** The other way round: what amount in `from` is worth an amount in `to` at the rate from `from` into `to`; rounded once. */
export function convertBack(amount: number, from: Currency, to: Currency, rate: number | string): number {
  return roundAmount(new Big(amount).div(rate).times(new Big(10).pow(minorDigits(from) - minorDigits(to))))
}
