import { tableOf } from '../../assumptions/tableOf'
import { riskDefaults, type RiskAssumptions } from '../../assumptions/groups/risk'
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
  'good-seller': 'well-rated seller',
  'unknown-seller': 'seller without ratings',
}

/** The table behind fault loss, in force for a build. */
export interface FaultAssumptions {
  /** Probability of a fault within the first months, by role, for a used thing. */
  readonly used: Readonly<Record<Role, number>>
  /** Factor on it by condition. */
  readonly byCondition: Readonly<Record<Condition, number>>
  /** Factor on it by sign. */
  readonly bySign: Readonly<Record<FaultSign, number>>
  /** Part of the price that comes back, by protection. */
  readonly recovered: Readonly<Record<Protection, number>>
  /** Highest probability the factors may reach. */
  readonly mostLikely: number
  /** Cost of dealing with a fault, minor units. */
  readonly hassle: number
}

/** Probabilities and factors by default; without what dealing with a fault costs, which depends on the currency. */
export const faultDefaults: Omit<FaultAssumptions, 'hassle'> = tablesOf(riskDefaults)

function tablesOf(risk: RiskAssumptions): Omit<FaultAssumptions, 'hassle'> {
  return {
    used: tableOf(risk, 'used'),
    byCondition: tableOf(risk, 'byCondition'),
    bySign: tableOf(risk, 'bySign'),
    recovered: tableOf(risk, 'recovered'),
    mostLikely: risk.mostLikely,
  }
}

/** The builder's own figures, each left out where the default holds. */
export interface FaultOverrides {
  readonly used?: Partial<Readonly<Record<Role, number>>>
  readonly byCondition?: Partial<Readonly<Record<Condition, number>>>
  readonly bySign?: Partial<Readonly<Record<FaultSign, number>>>
  readonly recovered?: Partial<Readonly<Record<Protection, number>>>
  readonly hassle?: number
}

/**
 * The table in force for a build: the assumptions, with the build's own figures in their place.
 *
 * @param hassle cost of dealing with a fault by the assumptions, minor units of the build's currency
 */
export function faultAssumptions(
  own: FaultOverrides = {},
  { risk = riskDefaults, hassle }: { readonly risk?: RiskAssumptions; readonly hassle: number },
): FaultAssumptions {
  const tables = tablesOf(risk)
  return {
    used: { ...tables.used, ...own.used },
    byCondition: { ...tables.byCondition, ...own.byCondition },
    bySign: { ...tables.bySign, ...own.bySign },
    recovered: { ...tables.recovered, ...own.recovered },
    mostLikely: tables.mostLikely,
    hassle: own.hassle ?? hassle,
  }
}

/**
 * P(fault) of a thing: the table's figure for its role times the factors of its condition and signs, at most `mostLikely`.
 *
 * @param factor what the facts of the listing do to it besides
 */
export function faultProbability(
  role: Role,
  condition: Condition,
  assumptions: Omit<FaultAssumptions, 'hassle'> = faultDefaults,
  signs: readonly FaultSign[] = [],
  factor = 1,
): number {
  const bySigns = [...new Set(signs)].reduce((product, sign) => product * assumptions.bySign[sign], 1)
  return Math.min(
    assumptions.mostLikely,
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
