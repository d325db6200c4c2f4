/** A line of a build as money. Minor units. */
export interface EnteredLine {
  readonly isOwned: boolean
  readonly payNow: number
  /** What its rebates are expected to bring: each by its own chance and state. */
  readonly rebatesExpected: number
  /** Null where no street price is known. */
  readonly anyoneCanPay: number | null
}

/** What a build enters the scales at. */
export const enteredBases = ['anyone', 'paid'] as const
export type EnteredBasis = (typeof enteredBases)[number]

/**
 * What a line enters the scales at, docs/formulas.md (Like for like): the market price less expected rebates,
 * without fault loss; or what is paid. Owned things enter at the street price either way; what has no street price at
 * what it costs the builder.
 *
 * @example an offer open to anyone at 158.19 with a rebate of 15.00 of chance 0.85: 158.19 − 12.75 = 145.44
 */
export function enteredPrice(
  { isOwned, payNow, rebatesExpected, anyoneCanPay }: EnteredLine,
  basis: EnteredBasis,
): number {
  if (isOwned) return anyoneCanPay ?? 0
  if (basis === 'paid' || anyoneCanPay === null) return payNow - rebatesExpected
  // an offer open to anyone brings its rebate along
  return anyoneCanPay === payNow ? payNow - rebatesExpected : anyoneCanPay
}
