import { groupBy } from '#core/collections/groupBy'
import { convertAmount, rateTable, type ExchangeRate } from '#core/money/rates'
import { splitByLargestRemainder } from '#core/money/splitByLargestRemainder'
import { joinedOrder, type JoinedOrder } from '#core/supply/orders/joinedOrder'
import type { ValuedLead } from './valuedLeads'

/** Leads still to be paid that are placed as one order with one source. */
export interface OpenOrder {
  readonly leads: readonly ValuedLead[]
  readonly joined: JoinedOrder
}

/** Puts leads still to be paid together by source and currency: shops and their counters only, since private sellers each send their own. */
export function openOrders(unpaid: readonly ValuedLead[]): OpenOrder[] {
  const orderable = unpaid.filter(
    ({ lead, source, trip }) =>
      lead.shipping === null && trip === null && ['shop', 'refurbisher', 'counter'].includes(source.kind),
  )
  return [...groupBy(orderable, ({ lead }) => `${lead.sourceId} ${lead.currency}`).values()].map((leads) => ({
    leads,
    joined: joinedOrder(leads.map(({ value }) => value.order)),
  }))
}

/** What each of these leads bears in its open order, in the build's currency; the shares add up to the order. */
export function sharesOfOrders(
  orders: readonly OpenOrder[],
  currency: string,
  rates: readonly ExchangeRate[],
  today: string,
): Map<string, { payNow: number; expected: number }> {
  const shares = new Map<string, { payNow: number; expected: number }>()
  for (const { leads, joined } of orders) {
    if (leads.length < 2) continue
    const from = joined.landed.payNow.currency
    const rate = rateTable(rates).rateOn(today, from, currency)
    const inBuild = (amount: number) =>
      from === currency ? amount : convertAmount(amount, from, currency, rate)
    const payNow = splitByLargestRemainder(inBuild(joined.landed.payNow.amount), joined.shares)
    const expected = adjustedTo(inBuild(joined.landed.expected.amount), joined.expectedShares.map(inBuild))
    for (const [index, { lead }] of leads.entries())
      shares.set(lead.id, { payNow: payNow[index]!, expected: expected[index]! })
  }
  return shares
}

/** Rounded parts made to add up to the whole: what is over goes to the first. */
function adjustedTo(total: number, parts: readonly number[]): number[] {
  const over = total - parts.reduce((sum, part) => sum + part, 0)
  return parts.map((part, index) => (index === 0 ? part + over : part))
}
