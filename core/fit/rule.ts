import { partLabel, type Part, type PartFacts, type Role } from '../parts/part'
import type { CannotCheck, CitedFact, Finding, FitMachine, Mend, Severity } from './finding'

/** Facts that a rule reads from one part. */
export interface FactsRead {
  readonly role: Role
  readonly facts: readonly (keyof PartFacts)[]
}

/**
 * A rule of the fit check, as one declarative unit: which facts it reads of which two parts, when they clash, and
 * what mends it. The engine in `checkFit.ts` finds the parts, turns unknown facts into "cannot check" and builds the
 * finding. To add a rule: one file that exports one of these, one line in `rules.ts`, one test.
 */
export interface FitRule {
  readonly id: string
  /** What the rule asks, as a question. */
  readonly question: string
  readonly severity: Severity
  readonly reads: readonly [FactsRead, FactsRead]
  /** Called only where both parts are there and all facts read are known. Null where nothing clashes. */
  clash(a: Part, b: Part): Clash | null
}

export interface Clash {
  readonly what: string
  readonly why: readonly [fact: keyof PartFacts, otherFact: keyof PartFacts]
  readonly mends: readonly Mend[]
}

/** How facts are called on screen. */
export const factNames: Partial<Readonly<Record<keyof PartFacts, string>>> = {
  socket: 'socket', memoryGeneration: 'memory generation', sixPinLeads: '6-pin card leads', eightPinLeads: '8-pin card leads',
}

/** Cites a fact of a part; `not known` where it is missing. */
export function cite(part: Part, fact: keyof PartFacts): CitedFact {
  const value = part.facts[fact]
  return {
    partId: part.id,
    role: part.role,
    part: partLabel(part),
    fact: factNames[fact] ?? fact,
    value: value === undefined ? 'not known' : Array.isArray(value) ? value.join(', ') : String(value),
  }
}

/** Asks one rule of every pair of parts it speaks about. */
export function askRule(rule: FitRule, machine: FitMachine): { findings: Finding[]; cannotCheck: CannotCheck[] } {
  const [first, second] = rule.reads
  const findings: Finding[] = []
  const cannotCheck: CannotCheck[] = []
  for (const a of machine.parts.filter((part) => part.role === first.role)) {
    for (const b of machine.parts.filter((part) => part.role === second.role)) {
      const unknown = [...unknownFacts(a, first), ...unknownFacts(b, second)]
      if (unknown.length > 0) {
        cannotCheck.push({ ruleId: rule.id, what: `Cannot check: ${unknown.map((fact) => `${fact.fact} of ${fact.part}`).join(' and ')} not known`, unknown })
        continue
      }
      const clash = rule.clash(a, b)
      if (clash) {
        findings.push({ ruleId: rule.id, severity: rule.severity, what: clash.what, why: [cite(a, clash.why[0]), cite(b, clash.why[1])], mends: clash.mends })
      }
    }
  }
  return { findings, cannotCheck }
}

function unknownFacts(part: Part, { facts }: FactsRead): CitedFact[] {
  return facts.filter((fact) => part.facts[fact] === undefined).map((fact) => cite(part, fact))
}
