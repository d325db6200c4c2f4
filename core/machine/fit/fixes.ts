import type { PricedPart } from '../upgrades/pricedPart'
import { partLabel, type Part, type Role } from '../../parts/part'
import { checkFit, isNoWorse, type FitReport } from './checkFit'
import type { Finding, FitMachine, Fix } from './finding'

/** A part by name, and the way to get it. */
export interface NamedPart {
  readonly id: string
  readonly name: string
  readonly how?: string
}

/**
 * A way to fix one finding, as a row: what it costs, what it needs, what it leaves open. Amounts in minor units. A way
 * may need more than one thing: another supply with the adapter for its plug, and metalwork where it does not fit.
 */
export interface FixRow {
  readonly findingKey: string
  /** Place among the finding's ways. */
  readonly way: number
  readonly what: string
  readonly kind: Fix['action']['kind']
  /** What is bought, and what that takes the place of. */
  readonly parts: readonly NamedPart[]
  readonly replaces: readonly NamedPart[]
  /** Keys of findings that are fixed by hand on the way. */
  readonly byHand: readonly string[]
  /** Null where a price is not known. */
  readonly cost: number | null
  readonly handiwork: string
  readonly limitW: number | null
  readonly leavesOpen: string
}

/** Tries at most so many parts a way, cheapest first; and so many where the way needs more than the one part. */
const mostTries = 24
const mostLongTries = 3
/** Things a way may need beyond its first. */
const mostFurther = 3

/** A part of the way that has been gone: the machine as it then is, and what it took. */
interface Gone {
  readonly machine: FitMachine
  readonly parts: readonly Candidate[]
  readonly replaces: readonly Part[]
  readonly steps: readonly Fix[]
  readonly byHand: readonly string[]
}

/** What could be bought; `price` null where none is known. */
interface Candidate extends Pick<PricedPart, 'part' | 'how'> {
  readonly price: number | null
}

interface Shop {
  /** Cheapest first; without a price last. */
  readonly byRole: ReadonlyMap<Role, readonly Candidate[]>
}

/**
 * The ways to fix a finding that really do: with the way taken its rule finds one clash less, nothing new stops or needs
 * a fix, and the machine as a whole is no worse. Of the parts that would do, the cheapest; parts without a price stand
 * last. Where the first part makes
 * something else stop, what fixes that goes with it. A way for which the library has nothing is left out.
 */
export function waysToMend(
  finding: Finding,
  machine: FitMachine,
  priced: readonly PricedPart[],
  library: readonly Part[],
): FixRow[] {
  const before = checkFit(machine)
  const shop = shopOf(priced, library)
  return finding.fixes.flatMap((fix, way): FixRow[] => {
    const start: Gone = { machine, parts: [], replaces: [], steps: [], byHand: [] }
    const first = candidatesOf(fix, finding, start, shop, mostTries).map((candidate) =>
      go(start, finding, fix, candidate),
    )
    const found =
      first.find((gone) => isMended(finding, before, gone)) ??
      first
        .slice(0, mostLongTries)
        .map((gone) => completed(finding, before, gone, shop, mostFurther))
        .find((gone) => gone !== null)
    return found ? [rowOf(finding, way, fix, found)] : []
  })
}

/** The machine with a row's way taken. */
export function fixed(machine: FitMachine, row: FixRow, partOf: (id: string) => Part): FitMachine {
  const parts = row.replaces.reduce((list, { id }) => withoutFirst(list, id), machine.parts)
  return {
    ...machine,
    parts: [...parts, ...row.parts.map(({ id }) => partOf(id))],
    settled: new Set([...(machine.settled ?? []), ...row.byHand]),
  }
}

/** What a part takes along: further parts and handiwork, what they take the place of, and the price of all of it. */
export type TakenIn = Pick<FixRow, 'parts' | 'replaces' | 'byHand' | 'cost'>

/**
 * What it takes to put a part into a machine, in the place of others where they are named: with the further parts without
 * which something new would stop, need a fix or slow it down. Null where nothing on offer makes it go.
 *
 * @example a CPU of 105 W under a cooler of 76 W: the CPU and a cooler that carries it
 */
export function takenIn(
  machine: FitMachine,
  part: PricedPart,
  out: readonly Part[],
  priced: readonly PricedPart[],
): TakenIn | null {
  const before = checkFit(machine)
  const left = out.reduce((list, { id }) => withoutFirst(list, id), [...machine.parts])
  const start: Gone = {
    machine: { ...machine, parts: [...left, part.part] },
    parts: [part],
    replaces: out,
    steps: [],
    byHand: [],
  }
  const end = completed(null, before, start, shopOf(priced, []), mostFurther)
  return end && takesOf(end)
}

function shopOf(priced: readonly PricedPart[], library: readonly Part[]): Shop {
  const known = new Set(priced.map(({ part }) => part.id))
  const all = [
    ...[...priced].sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1)),
    ...library.filter((part) => !known.has(part.id)).map((part) => ({ part, price: null })),
  ]
  const byRole = new Map<Role, Candidate[]>()
  for (const each of all) byRole.set(each.part.role, [...(byRole.get(each.part.role) ?? []), each])
  return { byRole }
}

/** What could be bought for a way; null where it buys nothing. */
function candidatesOf(
  fix: Fix,
  finding: Finding,
  gone: Gone,
  shop: Shop,
  most: number,
  first?: Finding,
): readonly (Candidate | null)[] {
  const { action } = fix
  if (action.kind === 'by-hand' || action.kind === 'remove') return [null]
  const out = action.kind === 'replace' ? replaced(gone.machine.parts, finding, action.role) : undefined
  // what was just bought, or what the way is taken for, is not thrown out on the way
  if (
    out &&
    (gone.parts.some(({ part }) => part.id === out.id) ||
      first?.why.some((fact) => fact.partId === out.id) === true)
  )
    return []
  return (shop.byRole.get(action.role) ?? [])
    .filter(({ part }) => part.id !== out?.id && action.fits(part))
    .slice(0, most)
}

function go(gone: Gone, finding: Finding, fix: Fix, bought: Candidate | null): Gone {
  const { machine } = gone
  const { action } = fix
  const steps = [...gone.steps, fix]
  if (action.kind === 'by-hand')
    return {
      ...gone,
      steps,
      byHand: [...gone.byHand, finding.key],
      machine: { ...machine, settled: new Set([...(machine.settled ?? []), finding.key]) },
    }
  if (action.kind === 'remove') {
    const out = machine.parts.find((part) => part.id === action.partId)
    return {
      ...gone,
      steps,
      replaces: out ? [...gone.replaces, out] : gone.replaces,
      machine: { ...machine, parts: withoutFirst(machine.parts, action.partId) },
    }
  }
  const out = action.kind === 'replace' ? replaced(machine.parts, finding, action.role) : undefined
  return {
    ...gone,
    steps,
    parts: [...gone.parts, bought!],
    replaces: out ? [...gone.replaces, out] : gone.replaces,
    machine: {
      ...machine,
      parts: [...(out ? withoutFirst(machine.parts, out.id) : machine.parts), bought!.part],
    },
  }
}

/**
 * Goes on until the machine is no worse: the gravest finding that was not there before is fixed first. The cheapest
 * end is taken.
 */
function completed(
  finding: Finding | null,
  before: FitReport,
  gone: Gone,
  shop: Shop,
  further: number,
): Gone | null {
  const after = checkFit(gone.machine)
  if (isMended(finding, before, gone, after)) return gone
  if (further === 0) return null
  const worse = newTrouble(after, before, finding === null ? [...troubles, 'costs'] : troubles)
  if (!worse) return null
  // to live with what slows it down is no way to put it in
  const fixes =
    worse.severity === 'costs' ? worse.fixes.filter(({ action }) => action.kind !== 'by-hand') : worse.fixes
  const ends = fixes.flatMap((fix) =>
    candidatesOf(fix, worse, gone, shop, mostLongTries, finding ?? undefined).flatMap(
      (candidate) => completed(finding, before, go(gone, worse, fix, candidate), shop, further - 1) ?? [],
    ),
  )
  return (
    ends.sort(
      (a, b) => (costOf(a) ?? Infinity) - (costOf(b) ?? Infinity) || a.byHand.length - b.byHand.length,
    )[0] ?? null
  )
}

function isMended(
  finding: Finding | null,
  before: FitReport,
  { machine }: Gone,
  after = checkFit(machine),
): boolean {
  if (finding === null) return isNoWorse(after, before) && newTrouble(after, before) === undefined
  // a fact that is not known would hide the clash rather than fix it
  return (
    countOf(after, finding.ruleId) < countOf(before, finding.ruleId) &&
    !after.cannotCheck.some((open) => open.ruleId === finding.ruleId) &&
    newTrouble(after, before) === undefined &&
    isNoWorse(after, before)
  )
}

const troubles: readonly Finding['severity'][] = ['stops', 'needs']

/** The gravest finding that stops or needs something and was not there before. */
function newTrouble(after: FitReport, before: FitReport, kinds = troubles): Finding | undefined {
  return after.findings.find(
    ({ severity, ruleId }) => kinds.includes(severity) && countOf(after, ruleId) > countOf(before, ruleId),
  )
}

function countOf(report: FitReport, ruleId: string): number {
  return report.findings.filter((each) => each.ruleId === ruleId).length
}

function costOf({ parts }: Gone): number | null {
  return parts.some(({ price }) => price === null) ? null : parts.reduce((sum, { price }) => sum + price!, 0)
}

function takesOf(gone: Gone): TakenIn {
  return {
    parts: gone.parts.map(({ part, how }) => ({ ...named(part), ...(how === undefined ? {} : { how }) })),
    replaces: gone.replaces.map(named),
    byHand: gone.byHand,
    cost: costOf(gone),
  }
}

function rowOf(finding: Finding, way: number, fix: Fix, gone: Gone): FixRow {
  const words = (of: (step: Fix) => string) =>
    [...new Set(gone.steps.map(of).filter((each) => each !== '' && each !== 'none'))].join('; ')
  const limits = gone.steps.flatMap((step) => step.limitW ?? [])
  return {
    findingKey: finding.key,
    way,
    what: fix.what,
    kind: fix.action.kind,
    ...takesOf(gone),
    handiwork: words((step) =>
      step === fix || step.action.kind !== 'by-hand' ? step.handiwork : `${step.what} (${step.handiwork})`,
    ),
    limitW: limits.length === 0 ? null : Math.min(...limits),
    leavesOpen: words((step) => step.leavesOpen),
  }
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

function named(part: Part): NamedPart {
  return { id: part.id, name: partLabel(part) }
}
