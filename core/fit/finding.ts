import type { Part, Role } from '../parts/part'

/** stops: will not work · needs: works with a fix · costs: works, loses performance or money · hints. */
export const severities = ['stops', 'needs', 'costs', 'hints'] as const
export type Severity = (typeof severities)[number]

/** One fact of one part, as a finding cites it. */
export interface CitedFact {
  readonly partId: string
  readonly role: Role
  readonly part: string
  readonly fact: string
  readonly value: string
}

/** A way to mend a finding. */
export interface Mend {
  readonly what: string
  /** What it leaves open, in words; empty where it mends all. */
  readonly leavesOpen: string
}

/** A clash between two facts. */
export interface Finding {
  readonly ruleId: string
  readonly severity: Severity
  readonly what: string
  readonly why: readonly [CitedFact, CitedFact]
  readonly mends: readonly Mend[]
}

/** A rule that could not be asked, since a fact is not known. Never silence. */
export interface CannotCheck {
  readonly ruleId: string
  readonly what: string
  /** The facts that are not known. */
  readonly unknown: readonly CitedFact[]
}

/** The machine as the rules see it. */
export interface FitMachine {
  readonly parts: readonly Part[]
}

/** What one rule says of a machine: a clash, an open question, or nothing (null). */
export type RuleOutcome = { readonly finding: Finding } | { readonly cannotCheck: CannotCheck } | null
