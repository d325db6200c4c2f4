import { CoreError } from '../errors/coreError'
import type { Currency } from '../money/money'
import { account, type Account, type AccountInput, type BudgetScope } from './account'
import { scopes, type Scope } from './scopes'

/** What kind of money a figure is. Assumed, expected and paid money never share one figure. */
export const moneyKinds = ['paid', 'lead', 'street', 'assumed', 'owned'] as const
export type MoneyKind = (typeof moneyKinds)[number]

/** One thing on the receipt; amounts in minor units of the build's currency, null where not known. */
export interface ReceiptLine {
  readonly id: string
  readonly label: string
  readonly role: string
  readonly scope: Scope
  readonly kind: MoneyKind
  readonly payNow: number | null
  readonly afterRebates: number | null
  readonly expected: number | null
  /** The market price for it; null where that is not known. */
  readonly anyoneCanPay: number | null
  /** Whether it is a thing that anyone would have to pay for: not a fee, a trip, or what is gone. */
  readonly isThing: boolean
  /** Money that comes back later on a claim, in full. */
  readonly toComeBack: number
}

export interface ReceiptTotals {
  readonly payNow: number | null
  readonly afterRebates: number | null
  readonly expected: number | null
  /** Sum over lines whose price for anyone is known. */
  readonly anyoneCanPay: number
  /** Lines whose price for anyone is not known, and which `anyoneCanPay` therefore leaves out. */
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
  /** The account of the whole build, from which the totals are. */
  readonly account: Account
  readonly budget: number
  readonly budgetScope: BudgetScope
  readonly stretch: number
  /** Budget − total + cash in, over what the budget covers; negative when over, null where not known. */
  readonly left: number | null
  readonly state: 'within' | 'stretch' | 'over' | 'not-known'
}

/**
 * The running account of a build, line by line. Three figures, never one: total, after rebates, expected; they are the
 * account's, and the lines' total adds up to them.
 *
 * @throws CoreError `bad-budget` for a stretch below the budget
 */
export function receipt(input: AccountInput, lines: readonly ReceiptLine[], stretch: number): Receipt {
  const { currency, budget } = input
  if (stretch < budget) throw new CoreError('bad-budget', {}, 'stretch')
  const whole = account(input)
  const left = whole.left?.amount ?? null
  const byScope = scopes.map((scope, widest) => {
    const covers = (each: { scope: Scope }) => scopes.indexOf(each.scope) <= widest
    return {
      scope,
      totals: totalsOf(
        account({
          ...input,
          entries: input.entries.filter(covers),
          items: input.items.filter(covers),
          planned: input.planned.filter(covers),
        }),
        lines.filter(covers),
      ),
    }
  })
  return {
    currency,
    groups: {
      paid: lines.filter((line) => line.kind === 'paid'),
      toBuy: lines.filter((line) => line.kind !== 'paid' && line.kind !== 'owned'),
      owned: lines.filter((line) => line.kind === 'owned'),
      toComeBack: lines
        .filter((line) => line.toComeBack > 0)
        .map(({ id, label, toComeBack }) => ({ id, label, amount: toComeBack })),
    },
    byScope,
    totals: totalsOf(whole, lines),
    account: whole,
    budget,
    budgetScope: input.budgetScope,
    stretch,
    left,
    state: left === null ? 'not-known' : left >= 0 ? 'within' : left >= budget - stretch ? 'stretch' : 'over',
  }
}

function totalsOf({ payNow, afterRebates, expected }: Account, lines: readonly ReceiptLine[]): ReceiptTotals {
  const things = lines.filter((line) => line.isThing)
  return {
    payNow: payNow?.amount ?? null,
    afterRebates: afterRebates?.amount ?? null,
    expected: expected?.amount ?? null,
    anyoneCanPay: things.reduce((sum, line) => sum + (line.anyoneCanPay ?? 0), 0),
    unknownStreet: things.filter((line) => line.anyoneCanPay === null).length,
  }
}
