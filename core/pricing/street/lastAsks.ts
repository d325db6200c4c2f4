import { medianSorted } from '../../statistics/medianSorted'
import { daysBetween, type CalendarDate } from '../../time/calendarDate'

/** A local listing as it was seen. Amounts in minor units of one currency. */
export interface LocalListing {
  readonly id: string
  readonly title: string
  readonly firstAsk: number
  readonly lastAsk: number
  readonly listedOn: CalendarDate
  /** Day it was found gone; null while it stands. */
  readonly vanishedOn: CalendarDate | null
}

export interface LastAsks {
  /** Listings that vanished, newest first. Their last ask is an ask, never a sale. */
  readonly vanished: readonly (LocalListing & { readonly daysUp: number })[]
  /** Median of the last asks, null without one. */
  readonly medianAsk: number | null
  /** Median days they stood, null without one. */
  readonly medianDaysUp: number | null
}

/** Last asks of local listings, docs/formulas.md (Street price): shown apart from sales, never among the comps. */
export function lastAsks(listings: readonly LocalListing[]): LastAsks {
  const vanished = listings
    .filter((each) => each.vanishedOn !== null)
    .map((each) => ({ ...each, daysUp: Math.max(0, daysBetween(each.listedOn, each.vanishedOn!)) }))
    .sort((a, b) =>
      a.vanishedOn! < b.vanishedOn! ? 1 : a.vanishedOn! > b.vanishedOn! ? -1 : a.id < b.id ? -1 : 1,
    )
  const middle = (values: readonly number[]) =>
    values.length === 0 ? null : Math.round(medianSorted(Float64Array.from(values).sort()))
  return {
    vanished,
    medianAsk: middle(vanished.map((each) => each.lastAsk)),
    medianDaysUp: middle(vanished.map((each) => each.daysUp)),
  }
}

/** Paid over asked of the builder's own local deals: median ratio and how many stand behind it; null without one. */
export function paidToAsked(
  deals: readonly { readonly asked: number; readonly paid: number }[],
): { readonly ratio: number; readonly count: number } | null {
  const ratios = deals.filter((deal) => deal.asked > 0).map((deal) => deal.paid / deal.asked)
  return ratios.length === 0
    ? null
    : { ratio: medianSorted(Float64Array.from(ratios).sort()), count: ratios.length }
}
