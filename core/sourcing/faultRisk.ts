import type { Condition } from '../market/soldRecord'
import type { Role } from '../parts/part'

/** What stands behind a purchase when the thing turns out faulty. */
export const protections = ['none', 'market', 'returns', 'warranty'] as const
export type Protection = (typeof protections)[number]

/** The table behind fault loss. Every figure is a default that the builder can edit. */
export interface FaultAssumptions {
  /** Probability of a fault within the first months, by role, for a used thing. */
  readonly used: Readonly<Record<Role, number>>
  /** Factor on it by condition. */
  readonly byCondition: Readonly<Record<Condition, number>>
  /** Part of the price that comes back, by protection. */
  readonly recovered: Readonly<Record<Protection, number>>
  /** Cost of dealing with a fault, minor units. */
  readonly hassle: number
}

/**
 * Defaults: the builder's-bench assumption, not a measurement. Moving parts and hard-worked electronics (supplies,
 * cards, drives) fail more often than processors; a new thing fails a fifth as often as a used one.
 */
export const faultDefaults: FaultAssumptions = {
  used: {
    cpu: 0.02, motherboard: 0.07, memory: 0.03, graphics: 0.08, storage: 0.06, supply: 0.09, case: 0.02, cooler: 0.03, donor: 0.08, extra: 0.02,
  },
  byCondition: { new: 0.2, opened: 0.4, refurbished: 0.6, used: 1, damaged: 6 },
  recovered: { none: 0, market: 0.75, returns: 0.9, warranty: 0.95 },
  hassle: 800,
}

/** P(fault) of a thing by role and condition, at most 0.95. */
export function faultProbability(role: Role, condition: Condition, assumptions: FaultAssumptions = faultDefaults): number {
  return Math.min(0.95, assumptions.used[role] * assumptions.byCondition[condition])
}
