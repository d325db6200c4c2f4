import { faultProbability, type FaultAssumptions, type Protection } from '../risk/faultRisk'
import { roundHalfAway } from '../../money/decimal'
import type { Role } from '../../parts/part'
import type { Condition } from '../../reading/sales/soldRecord'

/** Both ways to a part. Amounts in minor units of one currency. */
export interface NewOrUsedInput {
  readonly role: Role
  /** Street price at the builder's patience; null without comps. */
  readonly street: number | null
  /** Cheapest landed new lead, or the usual shop price with its tax and shipping; null where none is known. */
  readonly fresh: number | null
  /** Condition the street price stands for. */
  readonly condition?: Condition
  /** What stands behind the used purchase. */
  readonly protection?: Protection
  /** A house rule that forbids used for the role. */
  readonly usedForbidden?: boolean
  readonly assumptions: FaultAssumptions
}

export interface NewOrUsed {
  /** Street price + fault loss. */
  readonly used: {
    readonly price: number
    readonly faultProbability: number
    readonly recoveredShare: number
    readonly faultLoss: number
    readonly total: number
  } | null
  /** Price − value of the warranty. */
  readonly fresh: {
    readonly price: number
    readonly faultProbability: number
    readonly warrantyValue: number
    readonly total: number
  } | null
  readonly advice: 'used' | 'new' | 'only-used' | 'only-new' | 'not-known'
  /** True where a house rule decides, whatever the figures say. */
  readonly byHouseRule: boolean
  /** What the other way costs more, never negative except where a house rule costs money; null where only one way is known. */
  readonly margin: number | null
  /** Used price at which both ways cost the same; null without a new price, never below 0. */
  readonly tippingUsedPrice: number | null
}

/**
 * New or used, docs/formulas.md (Lots, and new or used). Used path = street + P(fault) · ((1 − recovered) · street +
 * hassle). New path = price − P(fault within warranty) · replacement price, the replacement being the same price; a
 * new thing's fault falls within its warranty. Recommends the lower, level going to new; a house rule overrides and
 * its cost shows as a negative margin.
 *
 * @example street 100.00, new 130.00, a card of 8 % fault risk, hassle 8.00, no protection: used 108.64, new 127.92,
 *   buy used, margin 19.28
 */
export function newOrUsed({
  role,
  street,
  fresh,
  condition = 'used',
  protection = 'none',
  usedForbidden = false,
  assumptions,
}: NewOrUsedInput): NewOrUsed {
  const pUsed = faultProbability(role, condition, assumptions)
  const pNew = faultProbability(role, 'new', assumptions)
  const lost = 1 - assumptions.recovered[protection]
  const faultLoss = street === null ? 0 : roundHalfAway(pUsed * (lost * street + assumptions.hassle))
  const warrantyValue = fresh === null ? 0 : roundHalfAway(pNew * fresh)
  const used =
    street === null
      ? null
      : {
          price: street,
          faultProbability: pUsed,
          recoveredShare: 1 - lost,
          faultLoss,
          total: street + faultLoss,
        }
  const bought =
    fresh === null
      ? null
      : { price: fresh, faultProbability: pNew, warrantyValue, total: fresh - warrantyValue }
  const tippingUsedPrice =
    bought === null
      ? null
      : Math.max(0, roundHalfAway((bought.total - pUsed * assumptions.hassle) / (1 + pUsed * lost)))
  if (used === null || bought === null) {
    const only =
      used === null ? (bought === null ? 'not-known' : 'only-new') : usedForbidden ? 'not-known' : 'only-used'
    return {
      used,
      fresh: bought,
      advice: only,
      byHouseRule: usedForbidden && used !== null,
      margin: null,
      tippingUsedPrice,
    }
  }
  const advice = usedForbidden || bought.total <= used.total ? 'new' : 'used'
  return {
    used,
    fresh: bought,
    advice,
    byHouseRule: usedForbidden && used.total < bought.total,
    margin: advice === 'used' ? bought.total - used.total : used.total - bought.total,
    tippingUsedPrice,
  }
}

/** The formula in words, for its working. */
export const freshFormula = 'landed price − P(fault within warranty) · replacement price'

/** The formula in words, for its working. */
export const usedFormula = 'street price + P(fault) · ((1 − recovered) · street price + hassle)'
