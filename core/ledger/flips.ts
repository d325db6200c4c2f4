import { daysBetween, type CalendarDate } from '../time/calendarDate'
import { medianSorted } from '../statistics/medianSorted'

/** A machine that was sold; amounts in minor units of one currency. */
export interface SoldMachine {
  readonly id: string
  readonly name: string
  /** The day the first of it was paid, and the day it was sold. */
  readonly begunOn: CalendarDate
  readonly soldOn: CalendarDate
  /** What came in for it, fee and postage taken off, and what it had cost. */
  readonly sale: number
  readonly cost: number
  readonly profit: number
  readonly hours: number
}

/** A machine with money in it that is not sold. */
export interface MachineInStock {
  readonly id: string
  readonly name: string
  readonly begunOn: CalendarDate
  /** Money that stands in it, what is still to be paid until it is whole, and what it would then fetch; null: not known. */
  readonly capital: number
  readonly toPay: number | null
  readonly worthToday: number | null
}

export interface FlipMonth {
  /** `2026-10` */
  readonly month: string
  readonly sold: number
  readonly profit: number
  readonly hours: number
  readonly perHour: number | null
}

export interface Flips {
  readonly months: readonly FlipMonth[]
  readonly sold: readonly (SoldMachine & { readonly days: number; readonly perHour: number | null })[]
  /** `leaves`: what it would fetch less all that goes into it. */
  readonly stock: readonly (MachineInStock & { readonly days: number; readonly leaves: number | null })[]
  readonly totals: {
    readonly profit: number
    readonly hours: number
    readonly perHour: number | null
    /** Days from the first payment to the sale, in the middle; null before the first sale. */
    readonly medianDays: number | null
    readonly capital: number
    /** Of all that is in stock; null where one is not known. */
    readonly leaves: number | null
  }
}

const leavesOf = ({ worthToday, capital, toPay }: MachineInStock) =>
  worthToday === null || toPay === null ? null : worthToday - capital - toPay

const hourly = (profit: number, hours: number) => (hours > 0 ? Math.round(profit / hours) : null)

/**
 * What selling on comes to: what was sold, the newest first; profit by month of sale; what money stands in.
 *
 * @example sold for 300.00 net, cost 225.00, 6 hours, 20 days: 75.00, 12.50 an hour
 */
export function flipsOf(
  sold: readonly SoldMachine[],
  stock: readonly MachineInStock[],
  today: CalendarDate,
): Flips {
  const months = [...new Set(sold.map(({ soldOn }) => soldOn.slice(0, 7)))].sort().reverse()
  const sum = (amounts: readonly number[]) => amounts.reduce((total, each) => total + each, 0)
  const profitOf = (list: readonly SoldMachine[]) => sum(list.map(({ profit }) => profit))
  const hoursOf = (list: readonly SoldMachine[]) => sum(list.map(({ hours }) => hours))
  const days = sold.map(({ begunOn, soldOn }) => daysBetween(begunOn, soldOn)).sort((a, b) => a - b)
  return {
    months: months.map((month) => {
      const own = sold.filter(({ soldOn }) => soldOn.startsWith(month))
      const [profit, hours] = [profitOf(own), hoursOf(own)]
      return { month, sold: own.length, profit, hours, perHour: hourly(profit, hours) }
    }),
    sold: [...sold]
      .sort((a, b) => (a.soldOn < b.soldOn ? 1 : a.soldOn > b.soldOn ? -1 : a.id < b.id ? -1 : 1))
      .map((each) => ({
        ...each,
        days: daysBetween(each.begunOn, each.soldOn),
        perHour: hourly(each.profit, each.hours),
      })),
    stock: stock
      .map((each) => ({ ...each, days: daysBetween(each.begunOn, today), leaves: leavesOf(each) }))
      .sort((a, b) => b.days - a.days || (a.id < b.id ? -1 : 1)),
    totals: {
      profit: profitOf(sold),
      hours: hoursOf(sold),
      perHour: hourly(profitOf(sold), hoursOf(sold)),
      medianDays: days.length === 0 ? null : medianSorted(days),
      capital: sum(stock.map(({ capital }) => capital)),
      leaves: stock.some((each) => leavesOf(each) === null)
        ? null
        : sum(stock.map((each) => leavesOf(each)!)),
    },
  }
}
