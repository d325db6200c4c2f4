import type { PricedPart } from '../worth/baseMachines'
import { partLabel, type Part, type Role } from '../parts/part'
import { checkFit, isNoWorse } from './checkFit'
import type { Finding, FitMachine, Mend } from './finding'

/** A way to mend one finding, as a row: what it costs, what it needs, what it leaves open. Amounts in minor units. */
export interface MendRow {
  readonly findingKey: string
  /** Place among the finding's ways. */
  readonly way: number
  readonly what: string
  readonly kind: Mend['action']['kind']
  readonly role: Role | null
  /** What is bought. */
  readonly part: { readonly id: string; readonly name: string } | null
  /** What it takes the place of, or is taken out. */
  readonly replaces: { readonly id: string; readonly name: string } | null
  /** Null where no price is known. */
  readonly cost: number | null
  readonly handiwork: string
  readonly limitW: number | null
  readonly leavesOpen: string
}

/** Tries at most so many parts a way, cheapest first. */
const mostTries = 24

/**
 * The ways to mend a finding that really do: with the part in place the rule finds one clash less, and the machine as a
 * whole is no worse. Of the parts that would do, the cheapest; parts without a price stand last. A way for which the
 * library has no part is left out.
 */
export function waysToMend(finding: Finding, machine: FitMachine, priced: readonly PricedPart[], library: readonly Part[]): MendRow[] {
  const before = checkFit(machine)
  return finding.mends.flatMap((mend, way): MendRow[] => {
    const { action } = mend
    const row = { findingKey: finding.key, way, what: mend.what, kind: action.kind, handiwork: mend.handiwork, limitW: mend.limitW, leavesOpen: mend.leavesOpen }
    if (action.kind === 'by-hand') return [{ ...row, role: null, part: null, replaces: null, cost: 0 }]
    if (action.kind === 'remove') {
      const gone = machine.parts.find((part) => part.id === action.partId)
      const after = mended(machine, finding, mend, null)
      return gone && mends(finding, before, after) ? [{ ...row, role: gone.role, part: null, replaces: named(gone), cost: 0 }] : []
    }
    const candidates = [...inOrder(priced.filter(({ part }) => part.role === action.role)), ...library.filter((part) => part.role === action.role && !priced.some((each) => each.part.id === part.id)).map((part) => ({ part, price: null }))]
      .filter(({ part }) => action.fits(part) && !(action.kind === 'replace' && replaced(machine.parts, finding, action.role)?.id === part.id)).slice(0, mostTries)
    const found = candidates.find(({ part }) => mends(finding, before, mended(machine, finding, mend, part)))
    if (!found) return []
    const gone = action.kind === 'replace' ? replaced(machine.parts, finding, action.role) : undefined
    return [{ ...row, role: action.role, part: named(found.part), replaces: gone ? named(gone) : null, cost: found.price }]
  })
}

/** The machine with a way taken: `part` is what it buys. By hand: the same parts, the finding settled. */
export function mended(machine: FitMachine, finding: Finding, mend: Mend, part: Part | null): FitMachine {
  const { action } = mend
  if (action.kind === 'by-hand') return { ...machine, settled: new Set([...(machine.settled ?? []), finding.key]) }
  if (action.kind === 'remove') return { ...machine, parts: withoutFirst(machine.parts, action.partId) }
  if (!part) return machine
  if (action.kind === 'add') return { ...machine, parts: [...machine.parts, part] }
  const gone = replaced(machine.parts, finding, action.role)
  return { ...machine, parts: [...(gone ? withoutFirst(machine.parts, gone.id) : machine.parts), part] }
}

function mends(finding: Finding, before: ReturnType<typeof checkFit>, machine: FitMachine): boolean {
  const after = checkFit(machine)
  const clashes = (report: typeof before) => report.findings.filter((each) => each.ruleId === finding.ruleId).length
  // a fact that is not known would hide the clash rather than mend it
  return clashes(after) < clashes(before) && !after.cannotCheck.some((open) => open.ruleId === finding.ruleId) && isNoWorse(after, before)
}

/** What a way replaces: the part of that role that the finding names, else the first of the role. */
function replaced(parts: readonly Part[], finding: Finding, role: Role): Part | undefined {
  const ofRole = parts.filter((part) => part.role === role)
  return ofRole.find((part) => finding.why.some((fact) => fact.partId === part.id)) ?? ofRole[0]
}

function withoutFirst(parts: readonly Part[], id: string): Part[] {
  const at = parts.findIndex((part) => part.id === id)
  return parts.filter((_, index) => index !== at)
}

function inOrder(priced: readonly PricedPart[]): PricedPart[] {
  return [...priced].sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))
}

function named(part: Part) {
  return { id: part.id, name: partLabel(part) }
}
