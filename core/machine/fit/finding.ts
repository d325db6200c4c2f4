import type { PowerAssumptions } from '../../assumptions/groups/power'
import type { SupplyRule } from '../power/supplySize'
import type { Need, Part, PartFacts, Role } from '../../parts/part'

/** stops: will not work · needs: works with a fix · costs: works, loses performance or money · hints. */
export const severities = ['stops', 'needs', 'costs', 'hints'] as const
export type Severity = (typeof severities)[number]

/** How a finding is called on screen. */
export const severityNames: Readonly<Record<Severity, string>> = {
  stops: 'won’t work',
  needs: 'needs a fix',
  costs: 'costs you',
  hints: 'note',
}

/** One fact of one part, or of the brief, as a finding cites it. */
export interface CitedFact {
  /** `brief` where the brief says it. */
  readonly partId: string
  readonly role: Role | 'brief'
  readonly part: string
  readonly fact: string
  readonly value: string
}

/** What fixing does to the machine. A part that `fits` is looked for in the library. */
export type FixAction =
  | { readonly kind: 'replace'; readonly role: Role; fits(part: Part): boolean }
  | { readonly kind: 'add'; readonly role: Role; fits(part: Part): boolean }
  | { readonly kind: 'remove'; readonly partId: string }
  /** Handiwork: nothing is bought, and the builder says that it is done. */
  | { readonly kind: 'by-hand' }

/** A way to fix a finding. */
export interface Fix {
  readonly what: string
  /** What it leaves open, in words; empty where it fixes all. */
  readonly leavesOpen: string
  /** What is to be done by hand; empty: no more than fitting it. */
  readonly handiwork: string
  /** What it may carry, W; null where that is no question. */
  readonly limitW: number | null
  readonly action: FixAction
}

/** A clash between two facts. */
export interface Finding {
  /** The rule and the two things that clash: the same from one check to the next. */
  readonly key: string
  readonly ruleId: string
  readonly severity: Severity
  readonly what: string
  readonly why: readonly [CitedFact, CitedFact]
  readonly fixes: readonly Fix[]
}

/** A rule that could not be asked, since a fact is not known. Never silence. */
export interface CannotCheck {
  readonly ruleId: string
  readonly what: string
  /** The facts that are not known. */
  readonly unknown: readonly CitedFact[]
}

/** What the rules need to know of the brief. */
export interface FitBrief {
  /** What draws how much where a part does not say. */
  readonly power: PowerAssumptions
  readonly year: number
  /** Room temperature, °C. */
  readonly roomC: number
  readonly needs: readonly Need[]
  readonly supplyRule: SupplyRule
  readonly oldestCpuYear: number | null
  readonly smallestDriveGb: number | null
  readonly leastSupplyW: number | null
  readonly avoidedMakes: readonly string[]
  /** Plugs the screen takes; empty: not asked. */
  readonly screenPlugs: readonly string[]
  /** Colour that everything seen should have; null: looks do not matter. */
  readonly colour: string | null
  readonly cablesHidden: boolean
  readonly needsSecurityModule: boolean
}

/** The machine as the rules see it. */
export interface FitMachine {
  readonly parts: readonly Part[]
  readonly brief?: Partial<FitBrief>
  /** Keys of findings fixed by hand. */
  readonly settled?: ReadonlySet<string>
}

/** A fact of a part that must be known, by the role it is read of. */
export interface FactsRead {
  readonly role: Role
  readonly facts: readonly (keyof PartFacts)[]
}
