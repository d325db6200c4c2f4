import type { Receipt, ReceiptLine, ReceiptTotals } from '#core/ledger/receipt'
import { marketPriceText } from '#core/ledger/marketPriceText'
import { scopeNames, scopes, type Scope } from '#core/ledger/scopes'
import type { BuildView } from '#shared/builds/views'
import type { ChoiceView } from '#shared/machine/views'
import { amount, percent } from '~/utils/show'
import type { FigureKind, Working } from './working'

type TotalName = Exclude<keyof ReceiptTotals, 'unknownStreet'>

const titles: Readonly<Record<TotalName, string>> = {
  payNow: 'Total',
  afterRebates: 'After rebates',
  expected: 'Expected total',
  anyoneCanPay: 'Market price',
}
const formulas: Readonly<Record<TotalName, string>> = {
  payNow:
    'spent + still to pay: purchases, fees and trips; planned orders, hunts at their limit; owned parts at zero',
  afterRebates: 'total − money in − refunds and rebates due',
  expected: 'after rebates + amounts due × the chance that they are not paid + fault losses',
  anyoneCanPay:
    'for each part, the lower of its street price at your patience and its share of one order at the cheapest shop',
}

interface KnownInPart extends Pick<Receipt, 'currency'> {
  readonly totals: Pick<ReceiptTotals, 'anyoneCanPay' | 'unknownStreet'>
}

/** The market price, said as what it is: a part of it where the price of some things is not known. */
export function anyoneText({ totals, currency }: KnownInPart): string {
  return marketPriceText(totals, currency) ?? amount(null, currency)
}

export function totalWorking(receipt: Receipt, name: TotalName): Working {
  const lines = [...receipt.groups.paid, ...receipt.groups.toBuy, ...receipt.groups.owned]
  return {
    title: titles[name],
    result: name === 'anyoneCanPay' ? anyoneText(receipt) : amount(receipt.totals[name], receipt.currency),
    formula: formulas[name],
    lines: lines.map((line) => ({
      label: line.label,
      value: amount(line[name], receipt.currency),
      kind: kindOf(line, name),
      note: scopeNames[line.scope],
    })),
    ...(name === 'anyoneCanPay' && receipt.totals.unknownStreet > 0
      ? {
          change: `${receipt.totals.unknownStreet} without a street price left out: import past sales for them in Prices.`,
        }
      : {}),
  }
}

function kindOf(line: ReceiptLine, name: TotalName): FigureKind {
  if (name === 'anyoneCanPay') return 'sum'
  return line.kind === 'street' ? 'own' : line.kind === 'owned' ? 'own' : 'lead'
}

/** Left = budget − total. */
export function leftWorking(receipt: Receipt): Working {
  return {
    title: 'Left of the budget',
    result: amount(receipt.left, receipt.currency),
    formula: 'budget − total + money in; open rebates are not counted',
    lines: [
      { label: 'budget', value: amount(receipt.budget, receipt.currency), kind: 'own' },
      { label: 'total', value: `−${amount(receipt.totals.payNow, receipt.currency)}`, kind: 'sum' },
      { label: 'money in', value: amount(receipt.account.cashIn.amount, receipt.currency), kind: 'sum' },
    ],
    change: 'Edit the budget in Brief.',
  }
}

/** A line of the slip: a thing chosen or mine, or what the ledger says of a fee, a trip, a thing that is gone. */
export function lineWorking(view: BuildView, line: ReceiptLine): Working {
  const choice = view.choices.find((each) => each.id === line.id)
  if (choice) return choiceWorking(view, choice)
  return {
    title: line.label,
    result: amount(line.payNow, view.currency),
    formula: 'as booked in the ledger; refunds and resales are in money in',
    lines: [{ label: 'cost left', value: amount(line.afterRebates, view.currency), kind: 'sum' }],
  }
}

export function choiceWorking(view: BuildView, choice: ChoiceView): Working {
  const value = (figure: number | null) => amount(figure, view.currency)
  return {
    title: choice.label,
    result: value(choice.payNow),
    formula:
      choice.kind === 'lead'
        ? 'landed cost of its lead; see the full breakdown in Leads'
        : choice.kind === 'hunt'
          ? 'your maximum price for this hunt'
          : choice.paidOn === null
            ? 'owned: no cash, but it has a street price'
            : 'its share of the order’s cost, fixed on the day you paid',
    lines: [
      {
        label: 'total',
        value: value(choice.payNow),
        kind: choice.kind === 'lead' ? 'lead' : 'own',
        note: choice.source,
      },
      { label: 'after rebates', value: value(choice.afterRebates), kind: 'sum' },
      { label: 'expected total', value: value(choice.expected), kind: 'sum' },
      { label: 'market price', value: value(choice.anyoneCanPay), kind: 'sum' },
      ...(choice.kind === 'hunt'
        ? [
            {
              label: 'expected wait',
              value:
                choice.expectedWait === null
                  ? 'no sale seen that cheap'
                  : `${Math.ceil(choice.expectedWait)} days`,
              kind: 'estimate' as const,
            },
          ]
        : []),
    ],
    change: 'Edit scope, reason and limit in Machine.',
  }
}

/** A cumulative total of the slip: this scope and the ones before it. */
export function scopeWorking(receipt: Receipt, scope: Scope, name: 'payNow' | 'expected'): Working {
  const lines = [...receipt.groups.paid, ...receipt.groups.toBuy, ...receipt.groups.owned].filter(
    (line) => scopes.indexOf(line.scope) <= scopes.indexOf(scope),
  )
  return {
    title: `${titles[name]}, up to ${scopeNames[scope]}`,
    result: amount(receipt.byScope.find((each) => each.scope === scope)!.totals[name], receipt.currency),
    formula: formulas[name],
    lines: lines.map((line) => ({
      label: line.label,
      value: amount(line[name], receipt.currency),
      kind: kindOf(line, name),
      note: scopeNames[line.scope],
    })),
  }
}

/** The chance that every hunt has come in by the date. */
export function huntsWorking(view: BuildView): Working {
  const hunts = view.hunts!
  return {
    title: 'Chance of all hunts',
    result: hunts.chanceByDate === null ? 'no date' : percent(hunts.chanceByDate),
    formula: 'product of each hunt’s chance: 1 − e^(−λ · c · F(limit) · T), treated as independent',
    lines: [
      ...view.choices
        .filter((choice) => choice.kind === 'hunt')
        .map((choice) => ({
          label: `${choice.label}, up to ${amount(choice.limit ?? choice.payNow, view.currency)}`,
          value: choice.chanceByDate === null ? '—' : percent(choice.chanceByDate),
          kind: 'estimate' as const,
          note:
            choice.expectedWait === 0
              ? 'a shop sells it at or below the limit'
              : choice.expectedWait === null
                ? hunts.uncounted.includes(choice.label)
                  ? 'no offer at that price: not counted'
                  : 'no sale seen that cheap'
                : `about ${Math.ceil(choice.expectedWait)} days on average`,
        })),
      {
        label: 'days to your date',
        value: hunts.days === null ? 'no date in the brief' : String(hunts.days),
        kind: 'own' as const,
      },
      {
        label: 'days until all are bought, in 8 of 10 cases',
        value: hunts.daysForMost === null ? '—' : String(Math.ceil(hunts.daysForMost)),
        kind: 'estimate' as const,
      },
    ],
    change: 'Raise a limit in Prices, or choose a lead instead.',
  }
}
