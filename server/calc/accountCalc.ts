import { accountOf, type HistoryEvent } from '#core/ledger/history'
import { parseDecimal } from '#core/money/decimal'
import type { AccountRequest } from '#shared/calc/schemas'

/** `POST /api/calc/account`: decimal strings in, minor units out. */
export function calcAccount(request: AccountRequest) {
  const { currency, budgetScope } = request
  const amount = (text: string, path: string) => parseDecimal(text, currency, path)
  const known = (text: string | null, path: string) => (text === null ? null : amount(text, path))
  return accountOf({
    currency,
    budget: amount(request.budget, 'budget'),
    budgetScope,
    paid: request.paid.map((line, index) => ({
      ...line,
      amount: amount(line.amount, `paid[${index}].amount`),
      things: line.things.map((thing, at) => ({
        ...thing,
        worth: amount(thing.worth, `paid[${index}].things[${at}].worth`),
        fault: amount(thing.fault, `paid[${index}].things[${at}].fault`),
        worthToday: known(thing.worthToday, `paid[${index}].things[${at}].worthToday`),
      })),
    })),
    costs: request.costs.map((cost, index) => ({
      ...cost,
      amount: amount(cost.amount, `costs[${index}].amount`),
    })),
    toPay: request.toPay.map((plan, index) => ({
      ...plan,
      payNow: amount(plan.payNow, `toPay[${index}].payNow`),
      fault: amount(plan.fault, `toPay[${index}].fault`),
      worthToday: known(plan.worthToday, `toPay[${index}].worthToday`),
    })),
    rebates: request.rebates.map((rebate, index) => ({
      ...rebate,
      amount: amount(rebate.amount, `rebates[${index}].amount`),
    })),
    events: request.events.map((event, index) =>
      inMinorUnits(event as EventRequest, (text, field) => amount(text, `events[${index}].${field}`)),
    ),
  })
}

const amountFields = ['expected', 'amount', 'price', 'fee', 'postage'] as const
type EventRequest = { readonly kind: HistoryEvent['kind'] } & Readonly<Record<string, unknown>>

/** The amounts of an event, whichever of them it has, as minor units. */
function inMinorUnits(event: EventRequest, amount: (text: string, field: string) => number): HistoryEvent {
  const amounts = amountFields.flatMap((field) =>
    typeof event[field] === 'string' ? [[field, amount(event[field], field)] as const] : [],
  )
  return { ...event, ...Object.fromEntries(amounts) } as HistoryEvent
}
