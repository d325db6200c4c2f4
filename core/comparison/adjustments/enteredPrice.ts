import { roundHalfAway } from '../../money/decimal'
import { defaultRebateChance } from '../../supply/landed/rebates'

/** A line of a build as money. Minor units. */
export interface EnteredLine {
  readonly isOwned: boolean
  readonly payNow: number
  readonly afterRebates: number
  /** Null where no street price is known. */
  readonly anyoneCanPay: number | null
}

/** What a build enters the scales at. */
export const enteredBases = ['anyone', 'paid'] as const
export type EnteredBasis = (typeof enteredBases)[number]

/**
 * What a line enters the scales at, `calculations.md` 11: what anyone can pay less expected rebates, without fault loss; or
 * what is paid. Owned things enter at the street price either way; what has no street price at what it costs the builder.
 *
 * @example an offer open to anyone at 158.19 with a rebate of 15.00: 158.19 − 0.85 · 15.00 = 145.44
 */
export function enteredPrice(
  { isOwned, payNow, afterRebates, anyoneCanPay }: EnteredLine,
  basis: EnteredBasis,
): number {
  const rebates = roundHalfAway(defaultRebateChance * (payNow - afterRebates))
  if (isOwned) return anyoneCanPay ?? 0
  if (basis === 'paid' || anyoneCanPay === null) return payNow - rebates
  // an offer open to anyone brings its rebate along
  return anyoneCanPay === payNow ? payNow - rebates : anyoneCanPay
}
