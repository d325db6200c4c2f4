import { CoreError } from '../errors/coreError'
import type { Currency } from '../money/money'

/** Scopes of a line, narrowest first; totals are cumulative. */
export const scopes = ['core', 'ready', 'test'] as const
export type Scope = (typeof scopes)[number]

export const scopeNames: Readonly<Record<Scope, string>> = {
  core: 'core machine',
  ready: 'ready to use',
  test: 'test-only',
}

/** What kind of money a figure is. Assumed, expected and paid money never share one figure. */
export const moneyKinds = ['paid', 'lead', 'street', 'assumed', 'owned'] as const
export type MoneyKind = (typeof moneyKinds)[number]

/** One thing on the receipt; amounts in minor units of the build's currency. */
export interface ReceiptLine {
  readonly id: string
  readonly label: string
  readonly role: string
  readonly scope: Scope
  readonly kind: MoneyKind
  readonly payNow: number
  readonly afterRebates: number
  readonly expected: number
  /** What anyone can pay for it at street price; null where that is not known. */
  readonly anyoneCanPay: number | null
  /** Money that comes back later on a claim, in full. */
  readonly toComeBack: number
}

export interface ReceiptTotals {
  readonly payNow: number
  readonly afterRebates: number
  readonly expected: number
  /** Sum over lines whose street price is known. */
  readonly anyoneCanPay: number
  /** Lines whose street price is not known, and which `anyoneCanPay` therefore leaves out. */
  readonly unknownStreet: number
}

export interface Receipt {
  readonly currency: Currency
  readonly groups: {
    readonly paid: readonly ReceiptLine[]
    readonly toBuy: readonly ReceiptLine[]
    readonly owned: readonly ReceiptLine[]
    readonly toComeBack: readonly { readonly id: string; readonly label: string; readonly amount: number }[]
  }
  /** Cumulative: `ready` holds `core` too, `test` holds all. */
  readonly byScope: readonly { readonly scope: Scope; readonly totals: ReceiptTotals }[]
  /** Whole build. */
  readonly totals: ReceiptTotals
  /** Pay now of what is already paid. */
  readonly paid: number
  readonly budget: number
  readonly stretch: number
  /** Budget less pay now; negative when over. */
  readonly left: number
  readonly state: 'within' | 'stretch' | 'over'
}

/**
 * The running account of a build. Three totals, never one: pay now, after rebates, expected. Sums are plain sums of
 * the lines, in any order.
 *
 * @throws CoreError `bad-budget` for a stretch below the budget
 */
export function receipt(
  currency: Currency,
  lines: readonly ReceiptLine[],
  { budget, stretch }: { budget: number; stretch: number },
): Receipt {
  if (stretch < budget)
    throw new CoreError('bad-budget', 'the stretch must not be below the budget', 'stretch')
  const totals = sumLines(lines)
  const paid = lines.filter((line) => line.kind === 'paid')
  return {
    currency,
    groups: {
      paid,
      toBuy: lines.filter((line) => line.kind !== 'paid' && line.kind !== 'owned'),
      owned: lines.filter((line) => line.kind === 'owned'),
      toComeBack: lines
        .filter((line) => line.toComeBack > 0)
        .map(({ id, label, toComeBack }) => ({ id, label, amount: toComeBack })),
    },
    byScope: scopes.map((scope, index) => ({
      scope,
      totals: sumLines(lines.filter((line) => scopes.indexOf(line.scope) <= index)),
    })),
    totals,
    paid: paid.reduce((sum, line) => sum + line.payNow, 0),
    budget,
    stretch,
    left: budget - totals.payNow,
    state: totals.payNow <= budget ? 'within' : totals.payNow <= stretch ? 'stretch' : 'over',
  }
}

function sumLines(lines: readonly ReceiptLine[]): ReceiptTotals {
  const sum = (of: (line: ReceiptLine) => number) => lines.reduce((total, line) => total + of(line), 0)
  return {
    payNow: sum((line) => line.payNow),
    afterRebates: sum((line) => line.afterRebates),
    expected: sum((line) => line.expected),
    anyoneCanPay: sum((line) => line.anyoneCanPay ?? 0),
    unknownStreet: lines.filter((line) => line.anyoneCanPay === null).length,
  }
}
