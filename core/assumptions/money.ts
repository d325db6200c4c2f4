import { CoreError } from '../errors/coreError'
import { parseDecimal } from '../money/decimal'
import type { Currency } from '../money/money'
import { convertAmount, type RateTable } from '../money/rates'
import type { CalendarDate } from '../time/calendarDate'
import { moneySize } from './moneySize'

/** An assumption in money. Its default is a size, not an amount: it is stated again in each currency by `moneySize`. */
export interface MoneyAssumption {
  readonly name: string
  readonly per: string
  /** Default in units of `moneySize`. */
  readonly size: number
  readonly moves: string
  readonly source: string
}

const bench = 'not measured'

export const moneyGroup = {
  hassle: {
    name: 'cost of dealing with a fault',
    per: '',
    size: 8,
    moves: 'higher: risky parts have a higher expected cost',
    source: bench,
  },
  tariff: {
    name: 'electricity',
    per: 'kWh',
    size: 0.14,
    moves: 'higher: energy counts for more',
    source: bench,
  },
  delivery: {
    name: 'delivery of a PC, if not stated',
    per: '',
    size: 35,
    moves: 'higher: such PCs cost more',
    source: bench,
  },
} as const satisfies Readonly<Record<string, MoneyAssumption>>

export type MoneyKey = keyof typeof moneyGroup

/** The builder's own figure, kept in the currency it was stated in. */
export interface OwnMoney {
  readonly amount: string
  readonly currency: Currency
}

/**
 * An assumption in money, in minor units of a currency (a tariff may be a fraction of one): the builder's own figure
 * where there is one, converted at the dated rate, else the default at the size of the currency. Without a rate from
 * the one to the other the default stands, and `isDefault` says so.
 *
 * @example hassle by default: 800 in CAD, 8000 in SEK, 800 in JPY, 4000 in KWD
 */
export function moneyAssumption(
  key: MoneyKey,
  currency: Currency,
  own: OwnMoney | undefined,
  rates: Pick<RateTable, 'find'>,
  today: CalendarDate,
): { readonly amount: number; readonly isDefault: boolean } {
  // a product of two decimals is off by its last bit in floating point
  const size = Number((moneyGroup[key].size * moneySize(currency)).toPrecision(12))
  const byDefault = { amount: size, isDefault: true }
  if (!own) return byDefault
  const amount = parseDecimal(own.amount, own.currency, key)
  if (amount < 0) throw new CoreError('negative-assumption', { name: moneyGroup[key].name }, key)
  if (own.currency === currency) return { amount, isDefault: false }
  const rate = rates.find(today, own.currency, currency)
  return rate === null
    ? byDefault
    : { amount: convertAmount(amount, own.currency, currency, rate), isDefault: false }
}
