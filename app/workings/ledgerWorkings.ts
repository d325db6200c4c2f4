import type { Account } from '#core/ledger/account'
import { askLadderFormula } from '#core/ledger/askLadder'
import { resaleFormula } from '#core/ledger/resale'
import type { Receipt } from '#core/ledger/receipt'
import type { WorthBasis } from '#shared/ledger/selling'
import type { LedgerView } from '#shared/ledger/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

export type AccountFigure = Exclude<keyof Account, 'hours'>

const titles: Readonly<Record<AccountFigure, string>> = {
  cashOut: 'Spent',
  cashIn: 'Money in',
  sale: 'Machine sold, net',
  toPay: 'Still to pay',
  payNow: 'Total',
  toComeBack: 'Refunds and rebates due',
  afterRebates: 'After rebates',
  expected: 'Expected total',
  left: 'Left of the budget',
  lost: 'Lost so far',
  cost: 'Cost of the build',
  worthToday: 'Worth today',
  profit: 'Profit',
}
const worthFormulas: Readonly<Record<WorthBasis, string>> = {
  parts:
    'net resale of parts here or on order that are not dead, and of chosen parts; each at its typical price',
  machines:
    'typical sale price of similar PCs × the chance to sell; not known while a part is ' +
    'missing. Parts not installed: net resale at their typical price',
  own: 'your own figure for the machine. Parts not installed: net resale at their typical price',
}
const formulas: Readonly<Record<AccountFigure, string>> = {
  cashOut: 'purchases + fees + travel',
  cashIn: 'refunds + rebates received + sales of parts, net of fee and shipping',
  sale: 'sale price − fee − shipping; shown separately, not part of money in',
  toPay: 'planned orders + limits of hunts + trips not driven yet; zero once sold or parted out',
  payNow: 'spent + still to pay',
  toComeBack: 'open rebates on bought or chosen parts + refunds expected for returns',
  afterRebates: 'total − money in − refunds and rebates due',
  expected: 'after rebates + amounts due × the chance that they are not paid + fault losses',
  left: 'budget − total + money in, for what the budget covers',
  lost: 'remaining cost of parts that are dead, returned, missing or written off, minus what they sold for',
  cost: 'spent − money in + cost taken over from other builds − cost handed on to them',
  worthToday: worthFormulas.parts,
  profit: 'net sale or worth today − cost − still to pay; refunds and rebates due are not included',
}
/** The figures each one is made of, with their sign. */
const madeOf: Partial<Readonly<Record<AccountFigure, readonly (readonly [AccountFigure, 1 | -1])[]>>> = {
  payNow: [
    ['cashOut', 1],
    ['toPay', 1],
  ],
  afterRebates: [
    ['payNow', 1],
    ['cashIn', -1],
    ['toComeBack', -1],
  ],
  left: [
    ['payNow', -1],
    ['cashIn', 1],
  ],
  cost: [
    ['cashOut', 1],
    ['cashIn', -1],
  ],
  profit: [
    ['sale', 1],
    ['worthToday', 1],
    ['cost', -1],
    ['toPay', -1],
  ],
}

/** Where a figure of the account comes from. */
export function accountWorking(
  { account, budget, currency }: Receipt,
  name: AccountFigure,
  basis: WorthBasis = 'parts',
): Working {
  const money = (value: number | null) => amount(value, currency)
  return {
    title: titles[name],
    result: money(account[name]?.amount ?? null),
    formula: name === 'worthToday' ? worthFormulas[basis] : formulas[name],
    lines: [
      ...(name === 'left' ? [{ label: 'budget', value: money(budget), kind: 'own' as const }] : []),
      ...(madeOf[name] ?? []).map(([part, sign]) => {
        const value = account[part]?.amount ?? null
        return {
          label: titles[part].toLowerCase(),
          value: money(value === null ? null : sign * value),
          kind: 'sum' as const,
        }
      }),
    ],
  }
}

export function resaleWorking({ resale, currency }: LedgerView, { account }: Receipt): Working {
  const money = (value: number) => amount(value, currency)
  return {
    title: 'Whole PC or parted out',
    result: money(resale[resale.better]!.net),
    formula: resaleFormula,
    lines: [
      { label: 'sum of typical prices', value: money(resale.parting.gross), kind: 'record' },
      { label: 'factor for selling whole', value: percent(resale.wholeFactor), kind: 'assumption' },
      { label: 'whole, from its parts, net', value: money(resale.whole.net), kind: 'sum' },
      ...(resale.machines === null
        ? []
        : [
            {
              label: 'whole, from PCs sold, net',
              value: money(resale.machines.net),
              kind: 'record' as const,
            },
          ]),
      { label: 'parted out, net', value: money(resale.parting.net), kind: 'sum' },
      { label: 'cost of the build', value: money(account.cost.amount), kind: 'sum' },
      { label: 'still to pay', value: amount(account.toPay?.amount ?? null, currency), kind: 'sum' },
      { label: 'hours entered', value: String(account.hours), kind: 'own' },
    ],
  }
}

export function askLadderWorking({ selling, resale, currency }: LedgerView): Working {
  const money = (value: number) => amount(value, currency)
  const [first] = selling.ladder
  return {
    title: 'What to ask, week by week',
    result: first ? money(first.ask) : 'not known',
    formula: askLadderFormula,
    lines: [
      { label: 'similar PCs sold', value: String(selling.machines?.count ?? 0), kind: 'record' },
      { label: 'usual haggling discount', value: percent(resale.haggleShare), kind: 'assumption' },
      { label: 'parted out after the last week, net', value: money(resale.parting.net), kind: 'sum' },
    ],
  }
}
