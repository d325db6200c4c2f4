import { percentOf } from '../../money/decimal'
import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'
import type { CalendarDate } from '../../time/calendarDate'
import { compareText } from '../../text/compareText'

/** A line of an order as codes see it. */
export interface CodeLine {
  readonly id: string
  readonly role: string
  /** Price × quantity, minor units. */
  readonly amount: number
}

/** A coupon at checkout. */
export interface Code {
  readonly id: string
  readonly kind: 'percent' | 'fixed'
  /** Percent, or minor units. */
  readonly value: number
  /** Empty: the whole order. */
  readonly scope: { readonly role?: string; readonly itemId?: string }
  /** Minor units of eligible items before any code. */
  readonly minSpend?: number
  /** Most it takes off, minor units. */
  readonly cap?: number
  readonly stackable: boolean
  /** Last day on which it works. */
  readonly validUntil?: CalendarDate
}

/** What a set of codes leaves of each line, and what each code took. */
export interface CodeOutcome {
  readonly remaining: readonly number[]
  readonly taken: readonly { readonly id: string; readonly amount: number }[]
}

/** True where the code may be used on this order at all: in time, something eligible, minimum spend reached. */
export function codeApplies(code: Code, lines: readonly CodeLine[], asOf: CalendarDate): boolean {
  if (code.validUntil !== undefined && code.validUntil < asOf) return false
  const eligible = lines.filter((line) => inScope(code, line))
  if (eligible.length === 0) return false
  return eligible.reduce((sum, line) => sum + line.amount, 0) >= (code.minSpend ?? 0)
}

/**
 * Applies a set of codes: percent before fixed, then narrowest scope (item, role, order), then id; each works on
 * what earlier ones left, is rounded once, capped, never takes a line below zero, and is split over its lines by
 * largest remainder. The order of the list does not matter.
 */
export function applyCodes(codes: readonly Code[], lines: readonly CodeLine[]): CodeOutcome {
  const remaining = lines.map((line) => line.amount)
  const taken = [...codes].sort(byPrecedence).map((code) => {
    const eligible = lines.map((line, index) => (inScope(code, line) ? remaining[index]! : 0))
    const base = eligible.reduce((sum, amount) => sum + amount, 0)
    const wanted = code.kind === 'percent' ? percentOf(base, code.value) : code.value
    const amount = Math.min(wanted, code.cap ?? wanted, base)
    const shares = base > 0 ? splitByLargestRemainder(amount, eligible) : []
    for (const [index, share] of shares.entries()) remaining[index]! -= share
    return { id: code.id, amount }
  })
  return { remaining, taken }
}

function inScope({ scope }: Code, line: CodeLine): boolean {
  return (
    (scope.itemId === undefined || scope.itemId === line.id) &&
    (scope.role === undefined || scope.role === line.role)
  )
}

function byPrecedence(a: Code, b: Code): number {
  const kind = (code: Code) => (code.kind === 'percent' ? 0 : 1)
  const width = (code: Code) => (code.scope.itemId !== undefined ? 0 : code.scope.role !== undefined ? 1 : 2)
  return kind(a) - kind(b) || width(a) - width(b) || compareText(a.id, b.id)
}

/** All legal sets of the codes that apply: any set of stackable ones (the empty set too), or one that is not. */
export function* legalCodeSets(codes: readonly Code[]): Generator<readonly Code[]> {
  const stackable = codes.filter((code) => code.stackable)
  for (let bits = 0; bits < 2 ** stackable.length; bits += 1)
    yield stackable.filter((_, index) => (bits & (1 << index)) !== 0)
  for (const code of codes) if (!code.stackable) yield [code]
}
