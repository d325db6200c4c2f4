import type { Condition } from '../../reading/sales/soldRecord'
import type { Role } from '../../parts/part'

/** What stands behind a purchase when the thing turns out faulty. */
export const protections = ['none', 'market', 'returns', 'warranty'] as const
export type Protection = (typeof protections)[number]

/** What a listing or a seller shows that moves the risk. */
export const faultSigns = [
  'untested',
  'as-is',
  'shown-working',
  'stress-tested',
  'sealed',
  'worn',
  'good-seller',
  'unknown-seller',
] as const
export type FaultSign = (typeof faultSigns)[number]

export const faultSignNames: Readonly<Record<FaultSign, string>> = {
  untested: 'untested',
  'as-is': 'sold “as is”',
  'shown-working': 'shown working',
  'stress-tested': 'stress-tested',
  sealed: 'sealed',
  worn: 'worn (hours, cycles)',
  'good-seller': 'seller of good standing',
  'unknown-seller': 'seller without a record',
}

/** The table behind fault loss. Every figure is a default that the builder can edit. */
export interface FaultAssumptions {
  /** Probability of a fault within the first months, by role, for a used thing. */
  readonly used: Readonly<Record<Role, number>>
  /** Factor on it by condition. */
  readonly byCondition: Readonly<Record<Condition, number>>
  /** Factor on it by sign. */
  readonly bySign: Readonly<Record<FaultSign, number>>
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
    cpu: 0.02,
    motherboard: 0.07,
    memory: 0.03,
    graphics: 0.08,
    storage: 0.06,
    supply: 0.09,
    case: 0.02,
    cooler: 0.03,
    donor: 0.08,
    extra: 0.02,
  },
  byCondition: { new: 0.2, opened: 0.4, refurbished: 0.6, used: 1, damaged: 6 },
  bySign: {
    untested: 2.5,
    'as-is': 2,
    'shown-working': 0.6,
    'stress-tested': 0.4,
    sealed: 0.5,
    worn: 1.8,
    'good-seller': 0.8,
    'unknown-seller': 1.3,
  },
  recovered: { none: 0, market: 0.75, returns: 0.9, warranty: 0.95 },
  hassle: 800,
}

/** The builder's own figures, each left out where the default holds. */
export interface FaultOverrides {
  readonly used?: Partial<Readonly<Record<Role, number>>>
  readonly byCondition?: Partial<Readonly<Record<Condition, number>>>
  readonly bySign?: Partial<Readonly<Record<FaultSign, number>>>
  readonly recovered?: Partial<Readonly<Record<Protection, number>>>
  readonly hassle?: number
}

/** The defaults with the builder's own figures in their place. */
export function faultAssumptions(own: FaultOverrides = {}): FaultAssumptions {
  return {
    used: { ...faultDefaults.used, ...own.used },
    byCondition: { ...faultDefaults.byCondition, ...own.byCondition },
    bySign: { ...faultDefaults.bySign, ...own.bySign },
    recovered: { ...faultDefaults.recovered, ...own.recovered },
    hassle: own.hassle ?? faultDefaults.hassle,
  }
}

export const mostLikelyFault = 0.95

/**
 * P(fault) of a thing: the table's figure for its role times the factors of its condition and signs, at most 0.95.
 *
 * @param factor what the facts of the listing do to it besides
 */
export function faultProbability(
  role: Role,
  condition: Condition,
  assumptions: FaultAssumptions = faultDefaults,
  signs: readonly FaultSign[] = [],
  factor = 1,
): number {
  const bySigns = [...new Set(signs)].reduce((product, sign) => product * assumptions.bySign[sign], 1)
  return Math.min(
    mostLikelyFault,
    assumptions.used[role] * assumptions.byCondition[condition] * bySigns * factor,
  )
}

/** Words of a listing that show a sign. `worn` asks for figures that tell of long use. */
const signWords: readonly (readonly [FaultSign, RegExp])[] = [
  ['untested', /\b(untested|not tested|no way to test|can(no|')?t test)\b/i],
  ['as-is', /\bas[- ]is\b|\bno returns\b/i],
  ['stress-tested', /\b(stress[- ]tested|burn[- ]in|memory test passed|passed (a )?(stress|memory) test)\b/i],
  [
    'shown-working',
    /\b(can (show|demo\w*|see) (it )?(work\w*|run\w*)|still in the (pc|machine|computer)|see it running|shown working)\b/i,
  ],
  ['sealed', /\b(factory sealed|still sealed|unopened)\b/i],
  ['worn', /\b([2-9]\d ?\d{3}|[2-9]\d[,.]\d{3}) (power[- ]on )?(hours|h)\b|\bheavy use\b|\bworn\b/i],
]

/** The signs that the words of a listing show, with the words. */
export function readSigns(text: string): { sign: FaultSign; quote: string }[] {
  return signWords.flatMap(([sign, words]) => {
    const found = words.exec(text)
    return found ? [{ sign, quote: found[0] }] : []
  })
}
