import { daysForAllHunts } from '../pricing/patience/patience'
import { landedCost } from '../supply/landed/landedCost'
import type { PlanProblem, PlanWay } from './problem'
import { logOf, programOf, type Objective, type Program } from './program'

/** What a solver makes of a program: its variables by name, or that there is no solution. */
export interface Solved {
  readonly status: 'optimal' | 'feasible' | 'infeasible'
  /** How far the best known may be from the best there is, as a share; null where nothing was found. */
  readonly gap: number | null
  readonly values: ReadonlyMap<string, number>
  /** The program's own figure of what it made as small, or as large, as can be. */
  readonly objective: number
}
export type Solver = (program: string) => Solved

/** One order of a plan, as the shop's cart shows it; minor units. */
export interface PlanOrder {
  readonly source: string
  readonly items: readonly string[]
  readonly code: string | null
  readonly discount: number
  readonly shipping: number
  readonly tax: number
  readonly total: number
}

export interface Plan {
  readonly status: Solved['status']
  readonly gap: number | null
  /** Expected cost: orders, what is paid by itself, what is expected on top, less what is resold. */
  readonly cost: number | null
  readonly payNow: number | null
  readonly ways: readonly string[]
  readonly kept: readonly { readonly wayId: string; readonly partId: string; readonly role: string }[]
  readonly fps: readonly number[] | null
  readonly orders: readonly PlanOrder[]
  readonly waitDays: number | null
  /** The smallest set of wishes whose giving up makes a plan possible. */
  readonly relax: readonly string[]
}

const usualChance = 0.8

/**
 * The best set of ways: the cheapest, or the one of most frames and then the cheapest of those. Its money is computed
 * once more by the functions of the receipt. Without a solution it names the fewest wishes to give up.
 */
export function solvePlan(problem: PlanProblem, solve: Solver): Plan {
  const ordered = inOrder(problem)
  const found = best(ordered, solve)
  if (found.solved.status === 'infeasible') return nothing(relaxed(ordered, solve))
  return planOf(ordered, found.solved, found.kept)
}

/** Ways by their ids: the same input gives the same plan. */
export const inOrder = (problem: PlanProblem): PlanProblem => ({
  ...problem,
  ways: [...problem.ways].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)),
})

export interface Found {
  readonly solved: Solved
  readonly kept: ReadonlyMap<number, readonly number[]>
  readonly orders: Program['orders']
  readonly cost: Program['all']['cost']
  readonly pay: Program['all']['pay']
  readonly own?: Program['all']['own']
}

/** The best solution of a program, and of the fastest the cheapest. */
export function best(problem: PlanProblem, solve: Solver): Found {
  if (problem.ways.length === 0)
    return { solved: none, kept: new Map(), orders: new Map(), cost: [], pay: [] }
  if (problem.goal.kind !== 'fastest') return once(problem, { kind: 'cost' }, null, solve)
  const fastest = once(problem, { kind: 'frames' }, null, solve)
  if (fastest.solved.status === 'infeasible') return fastest
  // the most frames first, then the least cost over the machines that are as fast
  const most = fastest.solved.objective - asFrames
  const asFast = problem.frames.flatMap(({ fps }, at) => (logOf(fps) >= most ? [at] : []))
  const tooSlow = (problem.slower ?? []).filter(({ frames }) => frames < most)
  const among = { ...problem, atMost: [...(problem.atMost ?? []), ...tooSlow] }
  const cheapest = once(among, { kind: 'cost' }, asFast, solve)
  return cheapest.solved.status === 'infeasible' ? fastest : cheapest
}

const none: Solved = { status: 'infeasible', gap: null, values: new Map(), objective: 0 }
/** Logarithms of frames that are this near are one. */
const asFrames = 1e-5

function once(
  problem: PlanProblem,
  objective: Objective,
  only: readonly number[] | null,
  solve: Solver,
): Found {
  const program = programOf(problem, objective, only)
  const solved = solve(program.text)
  const kept = new Map<number, number[]>()
  for (const [at, way] of problem.ways.entries()) {
    if ((solved.values.get(program.taken(at)) ?? 0) < 0.5) continue
    kept.set(
      at,
      way.things.flatMap((_, thing) =>
        (solved.values.get(program.kept(at, thing)) ?? 0) > 0.5 ? [thing] : [],
      ),
    )
  }
  return { solved, kept, orders: program.orders, ...program.all }
}

function planOf(problem: PlanProblem, { status, gap }: Solved, kept: Found['kept']): Plan {
  const taken = [...kept.keys()].map((at) => problem.ways[at]!)
  const orders = [...problem.sources.keys()].flatMap((id) => orderOf(problem, id, taken) ?? [])
  const alone = taken.filter(({ source }) => source === null).reduce((sum, { price }) => sum + price, 0)
  const payNow = orders.reduce((sum, { total }) => sum + total, alone)
  const things = [...kept].flatMap(([at, own]) =>
    own.map((thing) => {
      const { partId } = problem.ways[at]!.things[thing]!
      return { wayId: problem.ways[at]!.id, partId, role: problem.parts.get(partId)!.role }
    }),
  )
  const resold = [...kept].reduce(
    (sum, [at, own]) =>
      sum +
      problem.ways[at]!.things.reduce(
        (each, { resale }, thing) => each + (own.includes(thing) ? 0 : resale),
        0,
      ),
    0,
  )
  const extra = taken.reduce((sum, { expectedExtra }) => sum + expectedExtra, 0)
  const rates = taken.flatMap(({ perDay }) => perDay ?? [])
  return {
    status,
    gap,
    cost: payNow + extra - resold,
    payNow,
    ways: taken.map(({ id }) => id),
    kept: things,
    fps: framesOf(problem, things),
    orders,
    waitDays: daysForAllHunts(rates, problem.within?.chance ?? usualChance),
    relax: [],
  }
}

function framesOf({ frames }: PlanProblem, kept: Plan['kept']): readonly number[] | null {
  const [cpu, graphics] = ['cpu', 'graphics'].map((role) => kept.find((thing) => thing.role === role)?.partId)
  return frames.find((pair) => pair.cpu === cpu && pair.graphics === graphics)?.fps ?? null
}

/** An order as the receipt works out it, with its code where that is cheaper. */
function orderOf(problem: PlanProblem, id: string, taken: readonly PlanWay[]): PlanOrder | null {
  const own = taken.filter(({ source }) => source === id)
  if (own.length === 0) return null
  const { shipping, freeFrom, taxPercent, taxOnShipping = false } = problem.sources.get(id)!
  const code = problem.codes.get(id)
  const landed = landedCost({
    currency: 'XXX',
    asOf: '2000-01-01',
    source: {
      taxPercent,
      taxOnShipping,
      shipping: { kind: 'per-order', amount: shipping, ...(freeFrom === null ? {} : { freeFrom }) },
    },
    items: own.map(({ id: item, price }) => ({ id: item, role: 'extra', price, quantity: 1 })),
    codes: code ? [code] : [],
    rebates: [],
    extras: [],
  })
  const sum = (kind: string) =>
    landed.lines.reduce((total, line) => total + (line.kind === kind ? line.amount.amount : 0), 0)
  return {
    source: id,
    items: own.map((way) => way.id),
    code: landed.codesUsed[0] ?? null,
    discount: 0 - sum('code') || 0,
    shipping: sum('shipping'),
    tax: sum('tax'),
    total: landed.payNow.amount,
  }
}

function nothing(relax: readonly string[]): Plan {
  return {
    status: 'infeasible',
    gap: null,
    cost: null,
    payNow: null,
    ways: [],
    kept: [],
    fps: null,
    orders: [],
    waitDays: null,
    relax,
  }
}

interface Wish {
  readonly name: string
  without(problem: PlanProblem): PlanProblem
}

/** The wishes that can be given up one by one. */
function wishesOf({ goal, within, pins, bans }: PlanProblem): Wish[] {
  return [
    ...goal.floors.map((_, at): Wish => ({
      name: `floors[${at}]`,
      without: (problem) => ({
        ...problem,
        goal: {
          ...problem.goal,
          floors: problem.goal.floors.map((floor, index) => (index === at ? 0 : floor)),
        },
      }),
    })),
    ...(within === null
      ? []
      : [{ name: 'within', without: (problem: PlanProblem) => ({ ...problem, within: null }) }]),
    ...(goal.budget === null
      ? []
      : [
          {
            name: 'budget',
            without: (problem: PlanProblem) => ({ ...problem, goal: { ...problem.goal, budget: null } }),
          },
        ]),
    ...pins.map((id): Wish => ({
      name: `pin:${id}`,
      without: (problem) => ({ ...problem, pins: problem.pins.filter((each) => each !== id) }),
    })),
    ...bans.map((id): Wish => ({
      name: `ban:${id}`,
      without: (problem) => ({ ...problem, bans: problem.bans.filter((each) => each !== id) }),
    })),
  ]
}

/** Most sets that are tried before it is said that none was found. */
const mostSets = 400

/** The smallest set of wishes that helps, by ones, twos, threes, …; among as small ones that of the cheapest plan. */
function relaxed(problem: PlanProblem, solve: Solver): string[] {
  const wishes = wishesOf(problem)
  let tried = 0
  for (let size = 1; size <= wishes.length; size += 1) {
    let cheapest: { readonly names: string[]; readonly cost: number } | null = null
    for (const set of setsOf(wishes, size)) {
      if ((tried += 1) > mostSets) return cheapest?.names ?? []
      const without = set.reduce((rest, wish) => wish.without(rest), problem)
      const found = best(without, solve)
      if (found.solved.status === 'infeasible') continue
      const { cost } = planOf(without, found.solved, found.kept)
      if (cheapest === null || cost! < cheapest.cost)
        cheapest = { names: set.map(({ name }) => name), cost: cost! }
    }
    if (cheapest) return cheapest.names
  }
  return []
}

function* setsOf<T>(list: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) {
    yield []
    return
  }
  for (let at = from; at <= list.length - size; at += 1)
    for (const rest of setsOf(list, size - 1, at + 1)) yield [list[at]!, ...rest]
}
