import { resaleDefaults } from '../../assumptions/groups/resale'
import Big from 'big.js'
import { roundAmount } from '../../money/decimal'
import { money, type Currency, type Money } from '../../money/money'
import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'

export type LotPlan = 'keep' | 'resell' | 'discard'

/** A thing in a lot; amounts in minor units. */
export interface LotThing {
  readonly id: string
  /** Street price at the mark of the builder's choice. */
  readonly streetPrice: number
  readonly plan: LotPlan
  /** Probability that it sells, 0 to 1. Default: the assumption `resale.sells`. */
  readonly sellsProbability?: number
  /** Seller's fee in percent. Default 0. */
  readonly feePercent?: number
  /** Shipping and packing when sold. Default 0. */
  readonly shipping?: number
  readonly fixedFee?: number
}

export interface LotSplit {
  readonly things: readonly {
    readonly id: string
    /** What selling it on is expected to bring; zero for what is kept or discarded. */
    readonly netResale: Money
    /** Its share of the effective cost; null for what is not kept. */
    readonly effectiveCost: Money | null
  }[]
  /** Landed cost less all net resale; may be negative. */
  readonly effectiveTotal: Money
  /** Street prices of the kept things. */
  readonly boughtSinglyTotal: Money
  /** Bought separately, less effective; percent of bought separately, null where that is zero. */
  readonly saving: { readonly amount: Money; readonly percent: number | null }
}

/**
 * Splits the landed cost of a lot: effective cost of the kept things = landed − Σ net resale, shared among them in
 * proportion to street price by largest remainder (all zero: equally). Kept shares plus net resale equal the landed
 * cost exactly, unless nothing is kept.
 *
 * @param landed landed cost of the whole lot, minor units
 */
export function splitLot(currency: Currency, landed: number, things: readonly LotThing[]): LotSplit {
  const resale = things.map((thing) => (thing.plan === 'resell' ? netResale(thing) : 0))
  const effectiveTotal = landed - resale.reduce((sum, amount) => sum + amount, 0)
  const kept = things.filter((thing) => thing.plan === 'keep')
  const shares = splitByLargestRemainder(
    effectiveTotal,
    kept.map((thing) => thing.streetPrice),
  )
  const shareOf = new Map(kept.map((thing, index) => [thing, shares[index]!]))
  const separately = kept.reduce((sum, thing) => sum + thing.streetPrice, 0)
  const saved = separately - effectiveTotal
  return {
    things: things.map((thing, index) => {
      const share = shareOf.get(thing)
      return {
        id: thing.id,
        netResale: money(resale[index]!, currency),
        effectiveCost: share === undefined ? null : money(share, currency),
      }
    }),
    effectiveTotal: money(effectiveTotal, currency),
    boughtSinglyTotal: money(separately, currency),
    saving: { amount: money(saved, currency), percent: separately === 0 ? null : (100 * saved) / separately },
  }
}

/** P(sells) × (street price × (1 − fee) − shipping − fixed fee), rounded once, never below zero. */
export function netResale({
  streetPrice,
  sellsProbability = resaleDefaults.sells,
  feePercent = 0,
  shipping = 0,
  fixedFee = 0,
}: LotThing): number {
  const afterFees = new Big(streetPrice)
    .times(new Big(100).minus(feePercent))
    .div(100)
    .minus(shipping)
    .minus(fixedFee)
  return Math.max(0, roundAmount(afterFees.times(sellsProbability)))
}

/** The formula in words, for its working. */
export const splitFormula =
  'landed cost − net resale of the rest; shared among the kept parts by street price, leftover cents by largest remainder'
