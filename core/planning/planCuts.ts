import type { Part } from '../parts/part'
import { joinedOrder } from '../supply/orders/joinedOrder'
import { convertAmount } from '../money/rates'
import type { BuildOrder, BuildQuestion, BuildWay } from './buildQuestion'
import { lowsOf, ratesOf } from './planGround'
import type { PlanDearer, PlanMost, PlanSlower } from './problem'
import { logOf } from './program'
import { valueOf } from './rows'
import type { Found } from './solvePlan'

/** A difference below which two amounts are one: the program's own unexactness. */
const sameAmount = 0.02

/** What is paid and expected for ways in their order, beyond what lies there whatever is planned; minor units. */
export function orderTakes(
  { beside, currency, rate }: BuildOrder,
  ways: readonly BuildWay[],
): { readonly pay: number; readonly cost: number } {
  const own = (lines: readonly { readonly order: BuildWay['order']; readonly isOwn: boolean }[]) => {
    if (lines.length === 0) return { pay: 0, cost: 0 }
    const { landed, shares, expectedShares } = joinedOrder(lines.map(({ order }) => order!))
    const from = landed.payNow.currency
    const inBuild = (amount: number) =>
      from === currency ? amount : convertAmount(amount, from, currency, rate)
    const sum = (amounts: readonly number[]) =>
      inBuild(amounts.reduce((all, amount, index) => all + (lines[index]!.isOwn ? amount : 0), 0))
    return { pay: sum(shares), cost: sum(expectedShares) }
  }
  const without = own(beside)
  const all = own([...beside, ...ways.map(({ order }) => ({ order, isOwn: true }))])
  const leftovers = ways.reduce((sum, { leftover }) => sum + (leftover ?? 0), 0)
  return { pay: all.pay - without.pay, cost: all.cost - without.cost + leftovers }
}

/** Baskets of the orders that take more than the program's rows say. */
export function dearerBaskets(
  question: BuildQuestion,
  taken: readonly BuildWay[],
  { orders, solved: { values } }: Found,
): PlanDearer[] {
  return question.orders.flatMap((order): PlanDearer[] => {
    const basket = taken.filter(({ source }) => source === order.source)
    const terms = orders.get(order.source)
    if (basket.length === 0 || !terms) return []
    const constant = order.terms === null ? 0 : order.besidePays
    const takes = orderTakes(order, basket)
    const pay = takes.pay - (valueOf(terms.pay, values) - constant)
    const cost = takes.cost - (valueOf(terms.cost, values) - constant)
    if (pay <= sameAmount && cost <= sameAmount) return []
    const among = question.ways.filter(({ source }) => source === order.source)
    return [
      {
        order: order.source,
        among: among.map(({ id }) => id),
        basket: basket.map(({ id }) => id),
        pay: Math.max(0, pay),
        cost: Math.max(0, cost),
      },
    ]
  })
}

/**
 * The machine's frames against those its pair promised: a floor or a low that it misses becomes a row that forbids the
 * parts which make it slow; of the fastest, one that says by how much. Widened to every part that slows it as much.
 */
export function frameCuts(
  question: BuildQuestion,
  kept: readonly Part[],
  known: readonly PlanSlower[],
): { readonly atMost: readonly PlanMost[]; readonly slower: readonly PlanSlower[] } {
  const { targets, wishes, goal, fixed } = question
  const none = { atMost: [], slower: [] }
  const counts = goal === 'fastest' || wishes.floors.some((floor) => (floor ?? 0) > 0)
  const [cpu, graphics] = (['cpu', 'graphics'] as const).map((role) =>
    kept.find((part) => part.role === role),
  )
  if (targets.length === 0 || !counts || !cpu || !graphics) return none
  const lows = lowsOf(question)
  const of = (more: readonly Part[]) => ratesOf(question, [cpu, graphics, ...more, ...fixed])
  const misses = (more: readonly Part[]) => {
    const rates = of(more)
    return (
      rates !== null &&
      targets.some((_, at) => rates.fps[at]! < (wishes.floors[at] ?? 0) || rates.lows[at]! < lows[at]!)
    )
  }
  if (misses(kept)) return { ...none, atMost: slowSet(question, kept, misses) }
  if (goal !== 'fastest') return none
  const frames = logOf(of(kept)!.fps)
  const loss = logOf(ratesOf(question, [cpu, graphics])!.fps) - frames
  const pair = `${cpu.id} ${graphics.id}`
  const told = known.flatMap((each) => (each.pair === pair && isMade(each, kept) ? [each.loss] : []))
  if (loss < Math.max(0, ...told) + 1e-9) return none
  const isAsSlow = (more: readonly Part[]) => logOf(of(more)!.fps) <= frames + 1e-9
  return { ...none, slower: slowSet(question, kept, isAsSlow).map((set) => ({ ...set, pair, frames, loss })) }
}

const isMade = ({ parts, most }: PlanMost, kept: readonly Part[]) =>
  kept.filter(({ id }) => parts.includes(id)).length > most

/** The fewest parts beside CPU and card that make a machine slow, with all others of a role that do so as well. */
function slowSet(
  { parts }: BuildQuestion,
  kept: readonly Part[],
  isSlow: (more: readonly Part[]) => boolean,
): PlanMost[] {
  const ofRole = (role: Part['role']) => kept.filter((part) => part.role === role)
  const pair = [...ofRole('cpu'), ...ofRole('graphics')].map(({ id }) => id)
  if (isSlow([])) return [{ parts: pair, most: 1 }]
  for (const role of ['memory', 'motherboard'] as const) {
    const own = ofRole(role)
    if (own.length !== 1 || !isSlow(own)) continue
    const alike = parts.filter((part) => part.role === role && isSlow([part]))
    return [{ parts: [...pair, ...alike.map(({ id }) => id)], most: 2 }]
  }
  const both = [...ofRole('memory'), ...ofRole('motherboard')].map(({ id }) => id)
  return [{ parts: [...pair, ...both], most: pair.length + both.length - 1 }]
}
