import type { Currency } from '../../money/money'
import type { CalendarDate } from '../../time/calendarDate'

/** Conditions of a thing, best first. `damaged` stands for "damaged or untested". */
export const conditions = ['new', 'opened', 'refurbished', 'used', 'damaged'] as const
export type Condition = (typeof conditions)[number]

/** Manners of sale. */
export const manners = ['auction', 'fixed', 'local'] as const
export type Manner = (typeof manners)[number]

/** One past sale. Amounts in minor units of `currency`. */
export interface SoldRecord {
  readonly id: string
  readonly source: string
  readonly title: string
  readonly price: number
  readonly shipping: number
  readonly currency: Currency
  readonly soldOn: CalendarDate
  readonly manner: Manner
  readonly condition: Condition
  /** Things sold for the price; null or left out where the source does not say. */
  readonly quantity?: number | null
}
