import { groupBy } from '#core/collections/groupBy'
import { rateTable } from '#core/money/rates'
import type { BuildOrder, BuildQuestion, BuildWay } from '#core/planning/buildQuestion'
import { orderTerms } from '#core/planning/orderTerms'
import { choicesOf } from '#server/context/choicesOf'
import type { BuildRow } from '#server/context/findBuild'
import { buildReading } from '#server/context/readBuild'
import { marketOf } from '#server/context/marketReadings'
import {
  goesIntoOrders,
  orderKey,
  plannedElsewhere,
  plannedLeads,
  shopsOf,
  sharesOfOrders,
  openOrders,
  type PlannedLead,
} from '#server/context/openOrders'
import { leadsValued, type ValuedLead } from '#server/context/valuedLeads'
import type { World } from '#server/readings/world'

interface OrdersOf {
  readonly world: World
  readonly build: BuildRow
  readonly today: string
}

/** A way with the lead it buys; null where it buys none. */
export interface LeadWay {
  readonly way: BuildWay
  readonly leadId: string | null
}

/**
 * Ways with the orders they may lie in, and what lies there whatever is planned: what the build has chosen besides, and
 * what other builds have. A way by itself keeps what it comes to, what comes along of it sold on.
 */
export function waysInOrders(
  { world, build, today }: OrdersOf,
  ways: readonly LeadWay[],
): Pick<BuildQuestion, 'ways' | 'orders' | 'trips'> {
  const ids = ways.flatMap(({ leadId }) => leadId ?? [])
  const valued = new Map(leadsValued(world, build, today, ids).map((each) => [each.lead.id, each]))
  const rows = choicesOf(world, build).filter((row) => row.leadId !== null && row.voidBecause === null)
  const chosen = plannedLeads(
    build,
    rows,
    leadsValued(
      world,
      build,
      today,
      rows.map((row) => row.leadId!),
    ),
  )
  const beside = [
    ...chosen.filter(({ valued: { lead } }) => !valued.has(lead.id)),
    ...plannedElsewhere(world, build, shopsOf([...valued.values()]), today),
  ]
  const groupOf = new Map(chosen.map((each) => [each.valued.lead.id, each.orderGroup]))
  const besideIn = groupBy(beside, orderKey)
  const table = rateTable(marketOf(world).rates)
  const byKey = groupBy([...valued.values()].filter(goesIntoOrders), (each) =>
    orderKey({ valued: each, orderGroup: groupOf.get(each.lead.id) ?? null, choiceId: '' }),
  )
  const keyOf = new Map<string, string>()
  const orders: BuildOrder[] = []
  for (const [source, leads] of byKey) {
    const lies = besideIn.get(source) ?? []
    if (leads.length + lies.length < 2) continue
    const { currency } = leads[0]!.lead
    orders.push({
      source,
      name: leads[0]!.sourceName,
      ...termsOf(leads, lies, build),
      beside: lies.map((each) => ({ order: each.valued.value.order, isOwn: each.buildId === build.id })),
      besidePays: besidePays(world, lies, build, today),
      currency: build.currency,
      rate: currency === build.currency ? 1 : table.rateOn(today, currency, build.currency),
    })
    for (const { lead } of leads) keyOf.set(lead.id, source)
  }
  return {
    orders,
    trips: tripsOf({ world, build, today }, [...valued.values()], chosen).map(({ leads, cash }) => ({
      cash,
      ways: ways.flatMap(({ way, leadId }) => (leads.includes(leadId ?? '') ? [way.id] : [])),
    })),
    ways: ways.map(({ way, leadId }) => {
      const each = leadId === null ? undefined : valued.get(leadId)
      if (!each) return way
      const { order, payNow, expected, expectedAfterResale } = each.value
      const leftover = expectedAfterResale - expected
      const money = { payNow, expected: expectedAfterResale, leftover }
      const source = keyOf.get(leadId!)
      if (source !== undefined) return { ...way, source, order, ...money }
      // fetched on a trip it bears a share of that; the trip itself is paid apart
      return { ...way, ...money, payNow: payNow - each.pickup, expected: money.expected - each.pickup }
    }),
  }
}

/** Trips that are still to be driven, and are only where something is fetched on them: not for what is planned besides. */
function tripsOf(
  { world, build, today }: OrdersOf,
  valued: readonly ValuedLead[],
  chosen: readonly PlannedLead[],
): { readonly leads: readonly string[]; readonly cash: number }[] {
  const planned = new Set(valued.map(({ lead }) => lead.id))
  const { trips, holdings } = buildReading(world, build.id, today)
  const fetched = holdings.items.flatMap(({ place, lineId }) =>
    place === 'ordered' ? (holdings.lines.find(({ id }) => id === lineId)?.leadId ?? []) : [],
  )
  const others = new Set([
    ...chosen.map(({ valued: { lead } }) => lead.id).filter((id) => !planned.has(id)),
    ...fetched,
  ])
  return trips
    .filter(
      ({ trip }) =>
        trip.drivenOn === null && !world.rows.leads.where('tripId', trip.id).some(({ id }) => others.has(id)),
    )
    .map(({ trip, cash }) => ({
      leads: valued.flatMap((each) => (each.trip?.id === trip.id ? [each.lead.id] : [])),
      cash,
    }))
    .filter(({ leads }) => leads.length > 0)
}

/** What the program can say of an order exactly: plain terms, in the build's currency, and nobody else's things in it. */
function termsOf(
  leads: readonly ValuedLead[],
  beside: readonly PlannedLead[],
  build: BuildRow,
): Pick<BuildOrder, 'terms' | 'code'> {
  const isShared = beside.some(({ buildId }) => buildId !== build.id)
  const orders = [...leads, ...beside.map(({ valued }) => valued)].map(({ value }) => value.order)
  const terms = isShared || orders[0]!.currency !== build.currency ? null : orderTerms(orders)
  return terms ?? { terms: null, code: null }
}

/** What the build pays of what lies in an order already. */
function besidePays(world: World, beside: readonly PlannedLead[], build: BuildRow, today: string): number {
  const shares = sharesOfOrders(openOrders(beside), marketOf(world).rates, today)
  return beside.reduce(
    (sum, { choiceId, buildId }) => sum + (buildId === build.id ? shares.get(choiceId)!.payNow : 0),
    0,
  )
}
