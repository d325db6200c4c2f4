import { partLabel } from '../../parts/part'
import type { CannotCheck, CitedFact, Finding, FitMachine } from './finding'
import { decidedAnyway, type OpenFact } from './decided'
import { severities } from './finding'
import { cite, readMachine, type Clash, type FitRule, type MachineRead } from './rule'
import { fitRules } from './rules'

export interface FitReport {
  /** Gravest first. */
  readonly findings: readonly Finding[]
  readonly cannotCheck: readonly CannotCheck[]
  /** Rules that had all their parts and facts, and found nothing. */
  readonly passed: readonly { readonly ruleId: string; readonly question: string }[]
  /** Findings fixed by hand. */
  readonly settled: readonly Finding[]
}

/** Asks every rule of a machine. The order of the parts does not matter beyond the order of equal findings. */
export function checkFit(
  { parts, brief, settled = new Set() }: FitMachine,
  rules: readonly FitRule[] = fitRules,
): FitReport {
  const machine = readMachine(parts, brief)
  const found: Finding[] = []
  const cannotCheck: CannotCheck[] = []
  const passed: { ruleId: string; question: string }[] = []
  for (const rule of rules) {
    if (rule.reads.some(({ role }) => machine.all(role).length === 0) || rule.concerns?.(machine) === false)
      continue
    const unknown = rule.tellsUnknown ? [] : openFacts(rule, machine)
    const outcomes = unknown.length === 0 ? rule.check(machine) : decidedAnyway(rule, machine, unknown)
    if (outcomes === null) {
      cannotCheck.push(cannot(rule, onlyOnce(unknown.map(({ part, fact }) => cite(part, fact)))))
      continue
    }
    const findings = findingsOf(rule, outcomes.filter((each) => !('unknown' in each)) as Clash[])
    const open = outcomes.flatMap((each) => ('unknown' in each ? each.unknown : []))
    if (open.length > 0) cannotCheck.push(cannot(rule, onlyOnce(open)))
    else if (findings.length === 0) passed.push({ ruleId: rule.id, question: rule.question })
    found.push(...findings)
  }
  found.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity))
  return {
    findings: found.filter((finding) => !settled.has(finding.key)),
    cannotCheck,
    passed,
    settled: found.filter((finding) => settled.has(finding.key)),
  }
}

function openFacts({ reads }: FitRule, machine: MachineRead): OpenFact[] {
  return reads.flatMap(({ role, facts }) =>
    machine
      .all(role)
      .flatMap((part) =>
        facts.filter((fact) => part.facts[fact] === undefined).map((fact) => ({ part, fact })),
      ),
  )
}

function onlyOnce(facts: readonly CitedFact[]): CitedFact[] {
  return facts.filter(
    (fact, index) =>
      facts.findIndex((each) => each.partId === fact.partId && each.fact === fact.fact) === index,
  )
}

function cannot(rule: FitRule, unknown: readonly CitedFact[]): CannotCheck {
  const named = unknown.map((fact) => `${fact.fact} of ${fact.part}`).join(' and ')
  return { ruleId: rule.id, what: `Not checked: ${named} not known`, unknown }
}

function findingsOf(rule: FitRule, clashes: readonly Clash[]): Finding[] {
  const findings = new Map<string, Finding>()
  for (const { what, why, fixes, severity = rule.severity } of clashes) {
    const key = `${rule.id}:${why.map((fact) => `${fact.partId}.${fact.fact}`).join(':')}`
    // two parts of a kind clash once
    if (!findings.has(key)) findings.set(key, { key, ruleId: rule.id, severity, what, why, fixes })
  }
  return [...findings.values()]
}

interface Judged {
  readonly findings: readonly Pick<Finding, 'severity'>[]
}

/** How bad a report is: findings by severity, gravest first; compared from the left. */
export function badness({ findings }: Judged): number[] {
  return severities.map((severity) => findings.filter((finding) => finding.severity === severity).length)
}

/** Whether a machine is no worse than another: nowhere graver before it is lighter. */
export function isNoWorse(after: Judged, before: Judged): boolean {
  const [a, b] = [badness(after), badness(before)]
  const at = a.findIndex((count, index) => count !== b[index])
  return at < 0 || a[at]! < b[at]!
}

/** Names of the parts that a finding is about. */
export function namesOf(finding: Finding, parts: FitMachine['parts']): string[] {
  return finding.why.flatMap((fact) => parts.filter((part) => part.id === fact.partId).map(partLabel))
}
