import { roundHalfAway } from '../money/decimal'
import { shareAtOrBelow, type PriceFlow } from '../pricing/patience/patience'

const weekDays = 7

/** A machine to be sold within some weeks. Amounts in minor units. */
export interface AskQuestion {
  /** What such machines went for, how often, and the share of their buyers who see this one. */
  readonly flow: PriceFlow
  readonly weeks: number
  /** What is left of a price once it is sold. */
  readonly net: (price: number) => number
  /** What it brings, net, if it is not sold by then: parted out. */
  readonly otherwise: number
  /** What a week of waiting costs. */
  readonly perWeek: number
}

/** What to do in one week. */
export interface AskRung {
  /** From 1. */
  readonly week: number
  /** The price to sell at. */
  readonly price: number
  /** Chance that it sells in this week at that price. */
  readonly chance: number
  /** What it is expected to bring, net, from this week on. */
  readonly expected: number
  /** The least to take, net, whole minor units: what waiting for the next week is expected to bring. */
  readonly least: number
}

/** Buyers a day who have paid at least a price and see this machine: λ · c · (1 − F below the price). */
export function buyersPerDay(flow: PriceFlow, price: number): number {
  return flow.perDay * flow.catchShare * (1 - shareAtOrBelow(flow, price - 1))
}

/** Chance that it sells at a price within some days: buyers come as a Poisson stream, as sellers do when one buys. */
export function chanceToSell(flow: PriceFlow, price: number, days: number): number {
  return -Math.expm1(-buyersPerDay(flow, price) * days)
}

/** Days until it has sold at a price with the given chance; null where nobody has paid that much. */
export function daysUntilSold(flow: PriceFlow, price: number, chance = 0.5): number | null {
  const rate = buyersPerDay(flow, price)
  return rate > 0 ? -Math.log1p(-chance) / rate : null
}

/** Whole weeks that some days begin. */
export function weeksOf(days: number): number {
  return Math.ceil(days / weekDays)
}

/**
 * The price to sell at week by week, the first week first: backward induction from the last week, after which it is
 * parted out. In each week the price with the highest expected net is asked, among those that such machines went for;
 * the later the week, the less there is to wait for. On a tie the lower price.
 *
 * @example machines go for 400.00 or 500.00, one buyer a week; parted out 100.00; two weeks: ask 500.00, then 400.00;
 * expected 372.41, and nothing under 289.64 is taken in the first week
 */
export function askLadder({ flow, weeks, net, otherwise, perWeek }: AskQuestion): AskRung[] {
  const prices = [...new Set(Array.from(flow.prices))]
  const rungs: AskRung[] = []
  let later = otherwise
  for (let week = weeks; week >= 1 && prices.length > 0; week -= 1) {
    const least = later - perWeek
    let best: AskRung | null = null
    for (const price of prices) {
      const chance = chanceToSell(flow, price, weekDays)
      const expected = chance * net(price) + (1 - chance) * least
      if (best === null || expected > best.expected)
        best = { week, price, chance, expected, least: roundHalfAway(least) }
    }
    rungs.unshift(best!)
    later = best!.expected
  }
  return rungs
}

/** The formula in words, for its working. */
export const askLadderFormula =
  'backwards from the last week: the price p with the highest chance(p) · net(p) + (1 ' +
  '− chance(p)) · (value next week − cost of waiting)'
