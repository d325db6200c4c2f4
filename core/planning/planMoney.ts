import { landedCost } from '../supply/landed/landedCost'
import { joinedOrder } from '../supply/orders/joinedOrder'
import type { BuildOrder, BuildWay } from './buildQuestion'

/** Several ways of a plan that are paid in one order. Minor units. */
export interface PlannedOrder {
  /** The shop's name. */
  readonly name: string
  readonly wayIds: readonly string[]
  readonly payNow: number
  readonly shipping: number
  /** Codes that are used. */
  readonly codes: readonly string[]
  /** What ordering together saves against one by one; below zero where it costs more. */
  readonly saved: number
}

/** The money of a plan, by the functions of the receipt. */
export interface PlanMoney {
  /** Each way with what it bears of its order. */
  readonly ways: readonly BuildWay[]
  readonly payNow: number
  readonly expected: number
  readonly orders: readonly PlannedOrder[]
}

/**
 * What ways cost together: those of one shop as one order, each bearing its share as on the receipt, the others by
 * themselves. What a way's expected cost has beyond its order (what comes along sold on) stays its own.
 *
 * @example 60.00 and 40.00 of a shop that ships an order for 10.00: 66.00 and 44.00, 110.00 in total, 10.00 saved
 */
export function planMoney(ways: readonly BuildWay[], shops: readonly BuildOrder[]): PlanMoney {
  const shares = new Map<string, Pick<BuildWay, 'payNow' | 'expected'>>()
  const orders: PlannedOrder[] = []
  for (const { source, name } of shops) {
    const own = ways.filter((way) => way.source === source && way.order)
    if (own.length < 2) continue
    const joined = joinedOrder(own.map((way) => way.order!))
    for (const [index, way] of own.entries())
      shares.set(way.id, {
        payNow: joined.shares[index]!,
        expected: joined.expectedShares[index]! + way.expected - landedCost(way.order!).expected.amount,
      })
    const { lines, payNow, codesUsed } = joined.landed
    orders.push({
      name,
      wayIds: own.map(({ id }) => id),
      payNow: payNow.amount,
      shipping: lines.find(({ kind }) => kind === 'shipping')?.amount.amount ?? 0,
      codes: codesUsed,
      saved: joined.saved,
    })
  }
  const shared = ways.map((way) => ({ ...way, ...shares.get(way.id) }))
  return {
    ways: shared,
    payNow: shared.reduce((sum, way) => sum + way.payNow, 0),
    expected: shared.reduce((sum, way) => sum + way.expected, 0),
    orders,
  }
}
