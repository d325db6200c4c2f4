import type { Currency } from '../../money/money'
import type { CalendarDate } from '../../time/calendarDate'
import type { Condition, Manner } from './soldRecord'

/** What is said with a paste. */
export interface SalesContext {
  readonly today: CalendarDate
  /** Home currency: what a sign that several share means, and what is meant where none stands. */
  readonly currency: Currency
  /** Day before month in `04/05/2026`. */
  readonly dayFirst?: boolean | undefined
  readonly decimalMark?: '.' | ',' | undefined
  /** Of a table: the header or number (from 0) of the column of a field. */
  readonly columns?: Readonly<Record<string, string | number>> | undefined
  /** What words of a column mean, as the builder has said once. */
  readonly values?: Readonly<Record<string, Readonly<Record<string, string>>>> | undefined
}

export const salesProblemCodes = [
  'ambiguous',
  'range',
  'hidden-price',
  'several-prices',
  'no-price',
  'no-date',
  'bad-date',
  'future-date',
  'unknown-value',
  'unread',
] as const
export type SalesProblemCode = (typeof salesProblemCodes)[number]

/** A past sale as a paste states it; what it does not say, or says in two ways, is null. */
export interface SaleRead {
  readonly title: string
  /** Decimal text with the places of its currency. */
  readonly price: string | null
  /** `0.00` where it is free or fetched. */
  readonly shipping: string | null
  readonly currency: Currency
  readonly soldOn: CalendarDate | null
  readonly manner: Manner | null
  readonly condition: Condition | null
  readonly quantity: number | null
  /** First and last line that gave a field, from 1; of the source of a page, its lines as they are seen. */
  readonly lines: readonly [number, number]
}

export interface SalesProblem {
  readonly line: number
  readonly code: SalesProblemCode
  readonly message: string
  readonly raw: string
  /** The word of a column that is not known, to be asked for once. */
  readonly word?: { readonly field: 'manner' | 'condition'; readonly said: string }
}

export interface SalesRead {
  readonly kind: 'blocks' | 'table'
  readonly records: readonly SaleRead[]
  readonly problems: readonly SalesProblem[]
}
