import { choicesOf } from '#server/context/choicesOf'
import type { BuildRow } from '#server/context/findBuild'
import { marketOf } from '#server/context/marketReadings'
import {
  goesIntoOrders,
  openOrders,
  orderKey,
  plannedElsewhere,
  plannedLeads,
  sharesOfOrders,
  shopsOf,
  type PlannedLead,
} from '#server/context/openOrders'
import { leadsValued, type ValuedLead } from '#server/context/valuedLeads'
import type { World } from '#server/readings/world'

/** What a lead adds to its build at a price of its own currency: expected, once the rest of it is sold on. */
export type LeadCost = (price: number) => number

/**
 * What leads add to a build, in the orders of their shops with what lies there already: by the function that the receipt
 * is worked out by. A lead that is chosen is removed first.
 *
 * @example a shop sends for 9.00 what it sells, a board of it is chosen: memory at 52.92 adds 52.92
 */
export function leadCosts(world: World, build: BuildRow, today: string): (valued: ValuedLead) => LeadCost {
  const { rates } = marketOf(world)
  const live = choicesOf(world, build).filter(({ voidBecause }) => voidBecause === null)
  const ids = live.flatMap(({ leadId }) => leadId ?? [])
  const chosen = plannedLeads(build, live, leadsValued(world, build, today, ids))
  const expectedOf = (leads: readonly PlannedLead[]) => {
    const shares = sharesOfOrders(openOrders(leads), rates, today)
    return leads.reduce(
      (sum, each) => sum + (each.buildId === build.id ? shares.get(each.choiceId)!.expected : 0),
      0,
    )
  }
  return (valued) => {
    const alone: LeadCost = (price) => valued.revalue(price).expectedAfterResale
    if (!goesIntoOrders(valued)) return alone
    const own = chosen.find((each) => each.valued.lead.id === valued.lead.id)
    const line = {
      choiceId: 'asked about',
      orderGroup: own?.orderGroup ?? null,
      buildId: build.id,
      buildName: build.name,
      currency: build.currency,
    }
    const beside = [...chosen, ...plannedElsewhere(world, build, shopsOf([valued]), today)].filter(
      (each) => each.choiceId !== own?.choiceId && orderKey(each) === orderKey({ ...line, valued }),
    )
    if (beside.length === 0) return alone
    const before = expectedOf(beside)
    return (price) => {
      const value = valued.revalue(price)
      return expectedOf([...beside, { ...line, valued: { ...valued, value } }]) - before - value.resale
    }
  }
}
