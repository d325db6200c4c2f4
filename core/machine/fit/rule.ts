import { factKinds, factText } from '../../parts/facts'
import { partLabel, type Part, type PartFacts, type Role } from '../../parts/part'
import { powerDefaults } from '../../assumptions/groups/power'
import { defaultSupplyRule } from '../power/supplySize'
import type { CitedFact, FactsRead, FitBrief, Fix, Severity } from './finding'

export const fitAreas = [
  'platform',
  'space',
  'connections',
  'power',
  'heat',
  'condition',
  'rules',
  'looks',
] as const
export type FitArea = (typeof fitAreas)[number]

/**
 * A rule of the fit check, as one declarative unit: which facts it must know, what clashes, and what fixes it. The
 * engine in `checkFit.ts` finds the parts, turns unknown facts into "cannot check" and builds the findings. To add a
 * rule: one file in `rules/` that exports one of these, one line in `rules.ts`, three rows in its test.
 */
export interface FitRule {
  readonly id: string
  readonly area: FitArea
  /** What the rule asks, as a question. */
  readonly question: string
  readonly severity: Severity
  /**
   * Facts that it reads of every part of these roles. It is asked only where each role is there; where a fact is not
   * known, it answers only if every value of that fact would give the same answer (`decided.ts`).
   */
  readonly reads: readonly FactsRead[]
  /** True where the rule itself says what it cannot tell. */
  readonly tellsUnknown?: true
  /** Whether there is anything to ask, before facts are asked for; left out: always. */
  concerns?(machine: MachineRead): boolean
  /**
   * Called only where all facts read are known. Empty where nothing clashes. A rule whose answer may stand though a fact
   * is missing reads it here and answers what it could not tell.
   */
  check(machine: MachineRead): readonly Outcome[]
}

export interface Clash {
  readonly what: string
  readonly why: readonly [CitedFact, CitedFact]
  readonly fixes: readonly Fix[]
  /** Where it is graver or lighter than the rule's own. */
  readonly severity?: Severity
}

/** What could not be told, since a fact that could change the answer is not known. */
export interface NotTold {
  readonly unknown: readonly CitedFact[]
}

/** What a rule says of one thing: it clashes, or it could not be told. */
export type Outcome = Clash | NotTold

export const notTold = (part: Part, ...facts: (keyof PartFacts)[]): NotTold => ({
  unknown: facts.map((fact) => cite(part, fact)),
})

/** The machine as a rule reads it: parts by role, and the brief with its defaults. */
export interface MachineRead {
  readonly parts: readonly Part[]
  readonly brief: FitBrief
  all(role: Role): readonly Part[]
  /** Extras that fix or cover something, such as a shield. */
  extra(isIt: (facts: PartFacts) => boolean): Part | undefined
}

export const briefDefaults: FitBrief = {
  year: 2026,
  roomC: powerDefaults.roomC,
  power: powerDefaults,
  needs: [],
  supplyRule: defaultSupplyRule,
  oldestCpuYear: null,
  smallestDriveGb: null,
  leastSupplyW: null,
  avoidedMakes: [],
  screenPlugs: [],
  colour: null,
  cablesHidden: false,
  needsSecurityModule: false,
}

export function readMachine(parts: readonly Part[], brief: Partial<FitBrief> = {}): MachineRead {
  return {
    parts,
    brief: { ...briefDefaults, ...brief },
    all: (role) => parts.filter((part) => part.role === role),
    extra: (isIt) => parts.find((part) => part.role === 'extra' && isIt(part.facts)),
  }
}

/** Every pair of a part of one role with one of another. */
export function pairsOf(machine: MachineRead, first: Role, second: Role): [Part, Part][] {
  return machine.all(first).flatMap((a) => machine.all(second).map((b): [Part, Part] => [a, b]))
}

/** Cites a fact of a part; `not known` where it is missing. */
export function cite(part: Part, fact: keyof PartFacts): CitedFact {
  return {
    partId: part.id,
    role: part.role,
    part: partLabel(part),
    fact: factKinds[fact].name,
    value: factText(part.facts, fact),
  }
}

/** Cites several parts together, such as all drives; the first stands for them. */
export function citeAll(parts: readonly Part[], fact: string, value: string): CitedFact {
  const [first] = parts as readonly [Part]
  return {
    partId: first.id,
    role: first.role,
    part: parts.length === 1 ? partLabel(first) : `${partLabel(first)} and ${parts.length - 1} more`,
    fact,
    value,
  }
}

export function citeBrief(fact: string, value: string): CitedFact {
  return { partId: 'brief', role: 'brief', part: 'the brief', fact, value }
}

interface FixDetails {
  readonly leavesOpen?: string
  readonly handiwork?: string
  readonly limitW?: number
}

const fix = (
  what: string,
  action: Fix['action'],
  { leavesOpen = '', handiwork = '', limitW }: FixDetails = {},
): Fix => ({ what, leavesOpen, handiwork, limitW: limitW ?? null, action })
/** Another part in the place of those of its role. */
export const replace = (role: Role, what: string, fits: (part: Part) => boolean, details?: FixDetails): Fix =>
  fix(what, { kind: 'replace', role, fits }, details)
/** A part more. */
export const add = (role: Role, what: string, fits: (part: Part) => boolean, details?: FixDetails): Fix =>
  fix(what, { kind: 'add', role, fits }, details)
export const remove = (part: Part, what: string, details?: FixDetails): Fix =>
  fix(what, { kind: 'remove', partId: part.id }, details)
export const byHand = (what: string, handiwork: string, details?: FixDetails): Fix =>
  fix(what, { kind: 'by-hand' }, { ...details, handiwork })
