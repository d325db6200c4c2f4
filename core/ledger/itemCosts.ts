import { splitByLargestRemainder } from '../money/splitByLargestRemainder'

/** What becomes of a thing that was bought. */
export type ItemPlan = 'keep' | 'resell' | 'discard'

/** A thing of a line as it stood on the day of payment. Worth in minor units of the amount's currency. */
export interface ItemWorth {
  readonly plan: ItemPlan
  /** Kept: its street price of that day; to be resold: its net resale; unknown counts as 0. */
  readonly worth: number
}

/**
 * The cost of each thing of a line: its share of what was paid, by relative worth, frozen at payment;
 * docs/formulas.md (Lives and figures). A thing to be discarded bears nothing unless all are worth nothing, then each
 * bears the same. The shares add up to the amount exactly and are never negative.
 *
 * @param paid what was paid for the line, minor units, zero or more
 * @example itemCosts(13000, [{ plan: 'keep', worth: 8000 }, { plan: 'resell', worth: 12000 }]) // [5200, 7800]
 * @example itemCosts(1000, Array(3).fill({ plan: 'keep', worth: 0 })) // [334, 333, 333]
 */
export function itemCosts(paid: number, things: readonly ItemWorth[]): number[] {
  return splitByLargestRemainder(
    paid,
    things.map(({ plan, worth }) => (plan === 'discard' ? 0 : Math.max(0, worth))),
  )
}

/**
 * What a rebate or a later credit that was paid takes off each thing of its line, in proportion to the things' cost.
 *
 * @example rebateShares(2000, [5200, 7800]) // [800, 1200]
 */
export function rebateShares(rebate: number, costs: readonly number[]): number[] {
  return splitByLargestRemainder(rebate, costs)
}
