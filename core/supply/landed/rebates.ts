import { riskDefaults } from '../../assumptions/groups/risk'
import Big from 'big.js'
import type { CalendarDate } from '../../time/calendarDate'

/** States of a rebate or of a trade-in credit paid later. */
export const rebateStates = ['to-claim', 'claimed', 'paid', 'refused', 'missed'] as const
export type RebateState = (typeof rebateStates)[number]

/** Money that comes back after the purchase, on a claim. It never lowers tax. */
export interface Rebate {
  readonly id: string
  /** Minor units. */
  readonly amount: number
  /** Last day on which it can be claimed. */
  readonly claimBy: CalendarDate
  readonly state: RebateState
  /** Chance that an open claim is paid, 0 to 1. Default: the assumption `risk.rebateChance`. */
  readonly chance?: number
}

/** The chance where nobody states one. */
export const defaultRebateChance = riskDefaults.rebateChance

/** Open: not paid, refused or missed, and claimed or still before the end of its claim-by day. */
export function isRebateOpen(rebate: Rebate, today: CalendarDate): boolean {
  return rebate.state === 'claimed' || (rebate.state === 'to-claim' && today <= rebate.claimBy)
}

/** Full amount of the rebates still open: what may yet come back, minor units. */
export function rebatesOpen(rebates: readonly Rebate[], today: CalendarDate): number {
  return rebates.reduce((sum, rebate) => sum + (isRebateOpen(rebate, today) ? rebate.amount : 0), 0)
}

/** Full amount of all rebates that are paid or open, minor units. */
export function rebatesInFull(rebates: readonly Rebate[], today: CalendarDate): number {
  return rebates.reduce(
    (sum, rebate) => sum + (rebate.state === 'paid' || isRebateOpen(rebate, today) ? rebate.amount : 0),
    0,
  )
}

/** Amounts weighed by their chance, not yet rounded: a paid one in full, a lapsed one not at all. */
export function rebatesExpected(rebates: readonly Rebate[], today: CalendarDate): Big {
  return rebates.reduce((sum, rebate) => {
    if (rebate.state === 'paid') return sum.plus(rebate.amount)
    return isRebateOpen(rebate, today)
      ? sum.plus(new Big(rebate.amount).times(rebate.chance ?? defaultRebateChance))
      : sum
  }, new Big(0))
}

/** An open rebate as a purchase holds it: minor units, and the chance from 0 to 1 that it is paid. */
interface Claim {
  readonly amount: number
  readonly chance: number
}

/**
 * What open rebates bring, each by its chance; rounded once over all, minor units.
 *
 * @example expectedOfClaims([{ amount: 1000, chance: 0.85 }]) // 850
 */
export const expectedOfClaims = (claims: readonly Claim[]): number =>
  Math.round(claims.reduce((sum, { amount, chance }) => sum + amount * chance, 0))

/**
 * What of stated rebates is likely not to come, minor units.
 *
 * @example atRiskOfClaims([{ amount: 1000, chance: 0.85 }]) // 150
 */
export const atRiskOfClaims = (claims: readonly Claim[]): number =>
  Math.round(claims.reduce((sum, { amount, chance }) => sum + amount * (1 - chance), 0))
