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
  cashOut: 'Cash out',
  cashIn: 'Cash in',
  sale: 'The machine sold, net',
  toPay: 'To pay',
  payNow: 'Pay now',
  toComeBack: 'To come back',
  afterRebates: 'After rebates',
  expected: 'Expected',
  left: 'Left of the budget',
  lost: 'Lost so far',
  cost: 'Cost of the build',
  worthToday: 'Worth today',
  profit: 'Profit',
}
const worthFormulas: Readonly<Record<WorthBasis, string>> = {
  parts:
    'net resale of what is here or ordered and not dead, and of what is chosen; each by its typical mark',
  machines:
    'what machines like it typically went for × the chance that it sells; not known while a role is open. What is not built into it: net resale, each by its typical mark',
  own: 'your own figure for the machine. What is not built into it: net resale, each by its typical mark',
}
const formulas: Readonly<Record<AccountFigure, string>> = {
  cashOut: 'bought + fees + travel',
  cashIn: 'refunds + rebates that were paid + sales of its parts, net of fee and postage',
  sale: 'price of the machine − fee − postage; a figure of its own, no cash in',
  toPay: 'planned orders + limits of hunts + trips not driven yet; nothing once it is sold or apart',
  payNow: 'cash out + to pay',
  toComeBack: 'open rebates on what is bought or chosen + refunds expected for what is on its way back',
  afterRebates: 'pay now − cash in − to come back',
  expected: 'after rebates + what is to come back × the chance that it does not + fault losses',
  left: 'budget − pay now + cash in, over what the budget covers',
  lost: 'what remains of the cost of things dead, returned, missing or written off, less what they were sold for',
  cost: 'cash out − cash in + taken over from other builds − handed on to them',
  worthToday: worthFormulas.parts,
  profit: 'net sale, or worth today − cost − to pay; what is to come back stands beside',
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
    title: 'Whole machine against parting out',
    result: money(resale[resale.better]!.net),
    formula: resaleFormula,
    lines: [
      { label: 'sum of typical marks', value: money(resale.parting.gross), kind: 'record' },
      { label: 'whole-machine factor', value: percent(resale.wholeFactor), kind: 'assumption' },
      { label: 'whole by its parts, net', value: money(resale.whole.net), kind: 'sum' },
      ...(resale.machines === null
        ? []
        : [
            {
              label: 'whole by machines sold, net',
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
    title: 'What to ask week by week',
    result: first ? money(first.ask) : 'not known',
    formula: askLadderFormula,
    lines: [
      { label: 'sold machines like it', value: String(selling.machines?.count ?? 0), kind: 'record' },
      { label: 'the usual haggle', value: percent(resale.haggleShare), kind: 'assumption' },
      { label: 'parted out after the last week, net', value: money(resale.parting.net), kind: 'sum' },
    ],
  }
}
