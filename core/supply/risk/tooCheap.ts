import { pricingDefaults, type PricingAssumptions } from '../../assumptions/groups/pricing'
import { weightedQuantileSorted } from '../../statistics/weightedQuantileSorted'
import { roundHalfAway } from '../../money/decimal'
import type { Kept } from '../../pricing/street/streetPrice'

/** With fewer comps the tail says nothing: no warning is given. */
const fewestComps = 5

/**
 * The price below which something is probably wrong (a fault, a copy, no goods at all): the weighted quantile of
 * the comps at `pricing.tooCheapQuantile`, by default 5 %, minor units; null with fewer than five.
 */
export function tooCheapBelow(
  kept: readonly Pick<Kept, 'unitPrice' | 'weight'>[],
  { tooCheapQuantile }: Pick<PricingAssumptions, 'tooCheapQuantile'> = pricingDefaults,
): number | null {
  if (kept.length < fewestComps) return null
  const sorted = [...kept].sort((a, b) => a.unitPrice - b.unitPrice)
  return roundHalfAway(
    weightedQuantileSorted(
      sorted.map((each) => each.unitPrice),
      sorted.map((each) => each.weight),
      tooCheapQuantile,
    ),
  )
}

/** Whether an ask is under that price; false where it is not known. */
export function isTooCheap(ask: number, below: number | null): boolean {
  return below !== null && ask < below
}
