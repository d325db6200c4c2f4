import { groupBy } from '#core/collections/groupBy'
import { convertAmount, rateTable, type ExchangeRate } from '#core/money/rates'
import { splitByLargestRemainder } from '#core/money/splitByLargestRemainder'
import { joinedOrder, type JoinedOrder } from '#core/supply/orders/joinedOrder'
import type { CartView } from '#shared/ledger/views'
import type { choices } from '../db/schema/machine'
import { reading, sameMembers } from '../readings/reading'
import type { World } from '../readings/world'
import { rootIdOf, type BuildRow } from './findBuild'
import { leadsValued, type ValuedLead } from './valuedLeads'

export type ChoiceRow = typeof choices.$inferSelect

/** A chosen lead that is still to be paid, with the choice and the build it is chosen for. */
export interface PlannedLead {
  readonly valued: ValuedLead
  readonly choiceId: string
  readonly orderGroup: string | null
  readonly buildId: string
  readonly buildName: string
  readonly currency: string
}

/** A planned order: leads of one source, for one build or several, that are paid together. Derived, never stored. */
export interface OpenOrder {
  readonly leads: readonly PlannedLead[]
  readonly joined: JoinedOrder
}

const sellsMany: ReadonlySet<string> = new Set(['shop', 'refurbisher', 'counter'])

/** The chosen leads of a build that are still to be paid. */
export function plannedLeads(
  build: Pick<BuildRow, 'id' | 'name' | 'currency'>,
  rows: readonly ChoiceRow[],
  valued: readonly ValuedLead[],
): PlannedLead[] {
  return rows.flatMap((row) => {
    const lead = row.voidBecause === null ? valued.find((each) => each.lead.id === row.leadId) : undefined
    return lead
      ? [
          {
            valued: lead,
            choiceId: row.id,
            orderGroup: row.orderGroup,
            buildId: build.id,
            buildName: build.name,
            currency: build.currency,
          },
        ]
      : []
  })
}

/** Shops whose things are paid together. */
export const shopsOf = (leads: readonly ValuedLead[]): string[] => [
  ...new Set(leads.filter(({ source }) => sellsMany.has(source.kind)).map(({ lead }) => lead.sourceId)),
]

/** What the builds that live have chosen of leads, and what stands of it; variants choose nothing by themselves. */
const chosenLeads = reading(
  'choices of leads',
  (world): readonly ChoiceRow[] => {
    const { builds, choices } = world.rows
    return choices.where('kind', 'lead').filter(({ buildId, deletedAt, voidBecause }) => {
      const build = builds.one('id', buildId)!
      return (
        deletedAt === null &&
        voidBecause === null &&
        build.variantOf === null &&
        build.deletedAt === null &&
        (build.state === 'planned' || build.state === 'standing')
      )
    })
  },
  { same: sameMembers },
)

/** What other builds have chosen from the same shops: it goes into the same orders. */
export function plannedElsewhere(
  world: World,
  build: Pick<BuildRow, 'id' | 'variantOf'>,
  shops: readonly string[],
  today: string,
): PlannedLead[] {
  if (shops.length === 0) return []
  const { builds, leads } = world.rows
  // a build and its variants are versions of one machine, and never stand in one cart
  const rootId = rootIdOf(world, build)
  const rows = chosenLeads(world).filter(
    ({ buildId, leadId }) =>
      buildId !== rootId && shops.includes(leads.one('id', leadId ?? '')?.sourceId ?? ''),
  )
  return [...groupBy(rows, ({ buildId }) => buildId)].flatMap(([buildId, chosen]) => {
    const other = builds.one('id', buildId)!
    const ids = chosen.flatMap((choice) => choice.leadId ?? [])
    return plannedLeads(other, chosen, leadsValued(world, other, today, ids))
  })
}

/**
 * Puts leads still to be paid together: what one shop, counter or refurbisher sells in one currency is one order,
 * unless it was split by hand; private sellers each send their own, and what is fetched on a trip is paid alone.
 */
export function openOrders(planned: readonly PlannedLead[]): OpenOrder[] {
  return [...groupBy(planned, orderKey).values()].map((leadsOfOrder) => ({
    leads: leadsOfOrder,
    joined: joinedOrder(leadsOfOrder.map(({ valued }) => withoutTrip(valued))),
  }))
}

/** Names the order in which a lead is paid. */
export const orderKey = ({
  valued,
  orderGroup,
  choiceId,
}: Pick<PlannedLead, 'valued' | 'orderGroup' | 'choiceId'>): string =>
  goesIntoOrders(valued) ? `${valued.lead.sourceId} ${valued.lead.currency} ${orderGroup ?? ''}` : choiceId

/** Whether a lead is paid together with others of its source. */
export const goesIntoOrders = ({ lead, source, trip }: ValuedLead) =>
  lead.shipping === null && trip === null && sellsMany.has(source.kind)

/** The trip that fetches a thing is paid by itself: its order is then that of a thing picked up for nothing. */
function withoutTrip({ value: { order } }: ValuedLead): ValuedLead['value']['order'] {
  return order.pickup ? { ...order, pickup: { ...order.pickup, fare: 0 } } : order
}

/** What a planned lead bears of its order, in the currency of its build. */
export interface OrderShare {
  readonly payNow: number
  readonly expected: number
}

/** What each lead bears in its order, by choice; the shares of one build's currency add up to the order. */
export function sharesOfOrders(
  orders: readonly OpenOrder[],
  rates: readonly ExchangeRate[],
  today: string,
): Map<string, OrderShare> {
  const table = rateTable(rates)
  const shares = new Map<string, OrderShare>()
  for (const { leads: inOrder, joined } of orders) {
    for (const currency of new Set(inOrder.map((each) => each.currency))) {
      const from = joined.landed.payNow.currency
      const rate = from === currency ? 1 : table.rateOn(today, from, currency)
      const inBuild = (amount: number) =>
        from === currency ? amount : convertAmount(amount, from, currency, rate)
      const payNow = splitByLargestRemainder(inBuild(joined.landed.payNow.amount), joined.shares)
      const expected = adjustedTo(inBuild(joined.landed.expected.amount), joined.expectedShares.map(inBuild))
      for (const [index, each] of inOrder.entries())
        if (each.currency === currency)
          shares.set(each.choiceId, { payNow: payNow[index]!, expected: expected[index]! })
    }
  }
  return shares
}

/** Rounded parts made to add up to the whole: what is over goes to the first. */
function adjustedTo(total: number, parts: readonly number[]): number[] {
  const over = total - parts.reduce((sum, part) => sum + part, 0)
  return parts.map((part, index) => (index === 0 ? part + over : part))
}

/** An order as the shop's cart has it: things at their prices, then codes, shipping, tax and fees. */
export function cartOf({ leads, joined: { landed } }: OpenOrder, buildId: string): CartView {
  return {
    source: leads[0]!.valued.sourceName,
    currency: landed.payNow.currency,
    lines: leads.map((each) => ({
      choiceId: each.choiceId,
      isOwn: each.buildId === buildId,
      price: each.valued.lead.price,
    })),
    steps: landed.lines
      .filter((line) => line.kind !== 'item')
      .map(({ label, amount }) => ({ label, amount: amount.amount })),
    total: landed.payNow.amount,
  }
}
