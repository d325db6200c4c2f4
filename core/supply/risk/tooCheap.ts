import { weightedQuantileSorted } from '../../statistics/weightedQuantileSorted'
import { roundHalfAway } from '../../money/decimal'
import type { Kept } from '../../pricing/street/streetPrice'

/** The share of comps below which an ask is a warning rather than a bargain. */
export const tooCheapQuantile = 0.05
/** With fewer comps the tail says nothing: no warning is given. */
const fewestComps = 5

/**
 * The price below which something is probably wrong (a fault, a copy, no goods at all): the weighted 5 % quantile of
 * the comps, minor units; null with fewer than five.
 */
export function tooCheapBelow(kept: readonly Pick<Kept, 'unitPrice' | 'weight'>[]): number | null {
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
