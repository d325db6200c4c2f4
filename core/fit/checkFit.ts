import type { CannotCheck, Finding, FitMachine } from './finding'
import { severities } from './finding'
import { askRule, type FitRule } from './rule'
import { fitRules } from './rules'

export interface FitReport {
  /** Gravest first. */
  readonly findings: readonly Finding[]
  readonly cannotCheck: readonly CannotCheck[]
  /** Rules that had both their parts and all their facts, and found nothing. */
  readonly passed: readonly { readonly ruleId: string; readonly question: string }[]
}

/** Asks every rule of a machine. The order of the parts does not matter beyond the order of equal findings. */
export function checkFit(machine: FitMachine, rules: readonly FitRule[] = fitRules): FitReport {
  const findings: Finding[] = []
  const cannotCheck: CannotCheck[] = []
  const passed: { ruleId: string; question: string }[] = []
  for (const rule of rules) {
    const asked = askRule(rule, machine)
    findings.push(...asked.findings)
    cannotCheck.push(...asked.cannotCheck)
    const hasBoth = rule.reads.every(({ role }) => machine.parts.some((part) => part.role === role))
    if (hasBoth && asked.findings.length === 0 && asked.cannotCheck.length === 0) passed.push({ ruleId: rule.id, question: rule.question })
  }
  findings.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity))
  return { findings, cannotCheck, passed }
}
