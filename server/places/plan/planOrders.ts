import { groupBy } from '#core/collections/groupBy'
import type { BuildOrder, BuildWay } from '#core/planning/buildQuestion'
import { orderTerms } from '#core/planning/orderTerms'
import type { BuildRow } from '#server/context/findBuild'
import { goesIntoOrders, plannedElsewhere, shopsOf } from '#server/context/openOrders'
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
 * Ways that may be put together in one order of a shop, with the shops' terms; all others stay as they are. Left alone
 * are shops from which something else is to be paid already: for another build, apart by hand, or no part of the plan.
 */
export function waysInOrders(
  of: OrdersOf,
  ways: readonly LeadWay[],
): { ways: BuildWay[]; orders: BuildOrder[] } {
  const { world, build, today } = of
  const ids = ways.flatMap(({ leadId }) => leadId ?? [])
  const valued = leadsValued(world, build, today, ids).filter(
    (each) => goesIntoOrders(each) && each.lead.currency === build.currency,
  )
  const barred = shopsWithMore(of, new Set(ids), valued)
  const orders: BuildOrder[] = []
  const inOrder = new Map<string, ValuedLead>()
  for (const [source, leads] of groupBy(valued, ({ lead }) => lead.sourceId)) {
    if (leads.length < 2 || barred.has(source)) continue
    const terms = orderTerms(leads.map(({ value }) => value.order))
    if (terms === null) continue
    orders.push({ source, name: leads[0]!.sourceName, ...terms })
    for (const each of leads) inOrder.set(each.lead.id, each)
  }
  return {
    orders,
    ways: ways.map(({ way, leadId }) => {
      const each = leadId === null ? undefined : inOrder.get(leadId)
      if (!each) return way
      const { order, payNow, expectedAfterResale } = each.value
      return { ...way, source: each.lead.sourceId, order, payNow, expected: expectedAfterResale }
    }),
  }
}

/** Shops of which something is to be paid that the plan does not decide about. */
function shopsWithMore(
  { world, build, today }: OrdersOf,
  planned: ReadonlySet<string>,
  valued: readonly ValuedLead[],
): Set<string> {
  const open = world.rows.choices
    .where('buildId', build.id)
    .filter(
      (row) =>
        row.deletedAt === null && row.voidBecause === null && row.leadId !== null && row.lineId === null,
    )
  const others = open.filter((row) => row.orderGroup !== null || !planned.has(row.leadId!))
  const beside = leadsValued(
    world,
    build,
    today,
    others.map((row) => row.leadId!),
  )
  const elsewhere = plannedElsewhere(world, build, shopsOf(valued), today)
  return new Set([
    ...beside.map(({ lead }) => lead.sourceId),
    ...elsewhere.map(({ valued: { lead } }) => lead.sourceId),
  ])
}
