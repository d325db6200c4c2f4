import type { PlanProblem, PlanWay } from './problem'
import { orderRows } from './orderRows'
import { pairClashes } from './pairClashes'
import { rowsOfCostly, rowsOfDearer, rowsOfSlower, rowsOfTrips } from './cutRows'
import { sumOf, termsOf, type Row, type Term } from './rows'

/** What is to be made as small or as large as can be. */
export type Objective = { readonly kind: 'cost' } | { readonly kind: 'frames' }

/** Names of the variables by what they stand for. */
export interface Program {
  readonly text: string
  /** Variable of a way taken, by its place; of a thing kept, by way and thing. */
  readonly taken: (way: number) => string
  readonly kept: (way: number, thing: number) => string
  /** What is paid and expected by order, for whoever looks whether the rows say what the order does. */
  readonly orders: ReadonlyMap<string, OrderTermsIn>
  /** The same of all that is planned. */
  readonly all: OrderTermsIn
}

export interface OrderTermsIn {
  readonly pay: readonly Term[]
  readonly cost: readonly Term[]
  /** What it takes to own; of orders that is not told. */
  readonly own?: readonly Term[]
}

/** A fraction of a minor unit a way, so that of equal costs the one of fewer ways is taken. */
const aWay = 0.01
/** Slack by which a row does not bind where a fact is not known. */
const unbound = 1_000_000

/**
 * The problem as a mixed-integer program in the LP format: each role filled once, nothing taken of which nothing is
 * kept, parts that clash never together, watts as a sum, and each order in exactly one of its modes (with or without
 * its code, shipping paid or free), so that discount, shipping and tax are exact; docs/formulas.md (The plan).
 *
 * @param only pairs of CPU and card that may be taken; null: any
 */
export function programOf(
  problem: PlanProblem,
  objective: Objective,
  only: readonly number[] | null = null,
): Program {
  const rows: string[] = []
  const binaries = new Set<string>()
  const integers = new Set<string>()
  const bounds: string[] = []
  const cost: Term[] = []
  const pay: Term[] = []
  const own: Term[] = []
  const besideCost: Term[] = []
  const taken = (way: number) => `x${way}`
  const kept = (way: number, thing: number) => `y${way}_${thing}`
  const row: Row = (left, sense, right) => {
    const text = sumOf(termsOf(left))
    if (text !== '') rows.push(` c${rows.length}: ${text} ${sense} ${right}`)
    else if ((sense === '>=' && right > 0) || (sense === '=' && right !== 0) || (sense === '<=' && right < 0))
      // nothing can fill it: a row that no solution meets
      rows.push(` c${rows.length}: ${taken(0)} <= -1`)
  }
  const orders = new Map<string, { pay: Term[]; cost: Term[] }>()
  /** Terms of what is paid and expected, told also by the order they are of. */
  const takes: Takes = (order, pays, costs, owns = []) => {
    pay.push(...pays)
    cost.push(...costs)
    own.push(...owns)
    if (order === null) return
    const known = orders.get(order) ?? { pay: [], cost: [] }
    known.pay.push(...pays)
    known.cost.push(...costs)
    orders.set(order, known)
  }
  const used = new Map<string, Term[]>()
  const ownedKept: Term[] = []
  /** What is mine is there; what of it is sold lowers what is paid out of pocket. */
  const ownedRows = ({ id, things }: PlanWay, at: number, keeps: readonly Term[]) => {
    row({ [taken(at)]: 1 }, '=', 1)
    ownedKept.push(...keeps)
    for (const [index, { resale }] of things.entries())
      if (binaries.has(kept(at, index))) pay.push([-resale, taken(at)], [resale, kept(at, index)])
    if (problem.pins.includes(id)) row(keeps, '=', keeps.length)
    if (problem.bans.includes(id)) row(keeps, '=', 0)
  }
  for (const [at, way] of problem.ways.entries()) {
    binaries.add(taken(at))
    const order = way.source ?? way.order ?? null
    takes(order, [], [[way.expectedExtra, taken(at)]], [[way.own ?? 0, taken(at)]])
    if (way.beside) {
      row({ [taken(at)]: 1 }, '=', 1)
      continue
    }
    const keeps: Term[] = []
    besideCost.push([problem.preferred?.has(way.id) ? aWay / 2 : aWay, taken(at)])
    for (const [index, { partId, resale, own: ownLeast = 0 }] of way.things.entries()) {
      const part = problem.parts.get(partId)!
      const wanted = problem.roles.includes(part.role)
      cost.push([-resale, taken(at)])
      if (!wanted) continue
      binaries.add(kept(at, index))
      cost.push([resale, kept(at, index)])
      own.push([ownLeast, kept(at, index)])
      keeps.push([1, kept(at, index)])
      used.set(partId, [...(used.get(partId) ?? []), [1, kept(at, index)]])
      row({ [kept(at, index)]: 1, [taken(at)]: -1 }, '<=', 0)
    }
    if (way.owned) ownedRows(way, at, keeps)
    else row([...keeps, [-1, taken(at)]], '>=', 0)
    if (way.source === null) takes(order, [[way.price, taken(at)]], [[way.price, taken(at)]])
    if (way.owned) continue
    if (problem.pins.includes(way.id)) row({ [taken(at)]: 1 }, '=', 1)
    if (problem.bans.includes(way.id)) row({ [taken(at)]: 1 }, '=', 0)
  }
  if (problem.mostSold !== undefined) row(ownedKept, '>=', ownedKept.length - problem.mostSold)
  const usedOf = (partId: string) => used.get(partId) ?? []
  for (const role of problem.roles) {
    const filling = [...used].flatMap(([partId, terms]) =>
      problem.parts.get(partId)!.role === role ? terms : [],
    )
    const others = [...(problem.standsIn?.get(role) ?? [])].flatMap(usedOf)
    if (others.length === 0) row(filling, '=', 1)
    else {
      row(filling, '<=', 1)
      row([...filling, ...others], '>=', 1)
    }
  }
  const apart = problem.apart ?? pairClashes([...used.keys()].map((id) => problem.parts.get(id)!))
  for (const set of apart) row(set.flatMap(usedOf), '<=', set.length - 1)
  for (const { parts, most } of problem.atMost ?? []) row(parts.flatMap(usedOf), '<=', most)
  wattRow(problem, usedOf, row)
  frameRows(problem, objective, only, usedOf, row)
  waitRow(problem, taken, row)
  for (const [index, [id]] of [...problem.sources].entries()) {
    const within = { cost: [] as Term[], pay: [] as Term[] }
    orderRows(problem, id, `s${index}`, { row, binaries, integers, bounds, ...within, taken })
    takes(id, within.pay, within.cost)
  }
  rowsOfDearer(problem, taken, { row, takes })
  rowsOfTrips(problem, taken, { row, takes })
  if (problem.goal.budget !== null) row(pay, '<=', problem.goal.budget)
  if (problem.goal.own !== undefined) {
    own.push(...rowsOfCostly(problem, usedOf, row))
    row(own, '<=', problem.goal.own)
  }
  const frames = objective.kind === 'frames'
  const goal = frames
    ? sumOf([
        ...problem.frames.map((pair, at): Term => [logOf(pair.fps), `z${at}`]),
        ...rowsOfSlower(problem, usedOf, row),
      ])
    : sumOf([...cost, ...besideCost])
  const text = [
    frames ? 'Maximize' : 'Minimize',
    ` obj: ${goal === '' ? `0 ${taken(0)}` : goal}`,
    'Subject To',
    ...rows,
    ...(bounds.length > 0 ? ['Bounds', ...bounds] : []),
    ...(integers.size > 0 ? ['General', ` ${[...integers].join(' ')}`] : []),
    'Binary',
    ...[...binaries].map((name) => ` ${name}`),
    'End',
    '',
  ].join('\n')
  return { text, taken, kept, orders, all: { pay, cost, own } }
}

type Takes = (
  order: string | null,
  pays: readonly Term[],
  costs: readonly Term[],
  owns?: readonly Term[],
) => void

/** Frames of all targets together, as they are compared: the sum of their logarithms. */
export function logOf(fps: readonly number[]): number {
  return fps.reduce((sum, each) => sum + Math.log(Math.max(each, 1e-9)), 0)
}

/** The rule of the stated problem: half as much again, 30 W for the board and 10 W for the rest. */
const usualWatts = { factor: 1.5, besides: 40 } as const

/** Rating ≥ 1.5 × (CPU limit + board power + 30 for the board + 3 a module + 10); what is not known does not bind. */
function wattRow({ parts, roles, watts }: PlanProblem, usedOf: (id: string) => Term[], row: Row): void {
  if (!roles.includes('supply')) return
  const { factor, besides } = watts ?? usualWatts
  const terms: Term[] = []
  for (const [id, { role, facts }] of parts) {
    const add = (watts: number | undefined, sign: 1 | -1) => {
      for (const [, variable] of usedOf(id))
        terms.push([watts === undefined ? unbound : sign * watts, variable])
    }
    if (role === 'supply') add(facts.ratedW, 1)
    if (role === 'cpu') add(facts.limitW === undefined ? undefined : factor * facts.limitW, -1)
    if (role === 'graphics') add(facts.boardPowerW === undefined ? undefined : factor * facts.boardPowerW, -1)
    if (role === 'memory') add(factor * 3 * (facts.kitCount ?? 1), -1)
  }
  row(terms, '>=', factor * besides)
}

/** Floors remove pairs by rows of the parts themselves; only the most frames need a variable a pair. */
function frameRows(
  { frames, goal, parts, roles }: PlanProblem,
  objective: Objective,
  only: readonly number[] | null,
  usedOf: (id: string) => Term[],
  row: Row,
): void {
  const counts = goal.floors.length > 0 || goal.kind === 'fastest'
  if (!counts || !roles.includes('cpu') || !roles.includes('graphics')) return
  const allowed = frames
    .map((pair, at) => ({ ...pair, at }))
    .filter(
      ({ fps, lows, at }) =>
        fps.every((each, target) => each >= (goal.floors[target] ?? 0)) &&
        (goal.lows ?? []).every((low, target) => (lows?.[target] ?? Infinity) >= low) &&
        (only === null || only.includes(at)),
    )
  const ofRole = (role: string) => [...parts].filter(([, part]) => part.role === role).map(([id]) => id)
  const partners = (id: string, side: 'cpu' | 'graphics', other: 'cpu' | 'graphics') =>
    [...new Set(allowed.filter((pair) => pair[side] === id).map((pair) => pair[other]))].flatMap((each) =>
      usedOf(each).map(([, variable]): Term => [-1, variable]),
    )
  for (const id of ofRole('cpu')) row([...usedOf(id), ...partners(id, 'cpu', 'graphics')], '<=', 0)
  for (const id of ofRole('graphics')) row([...usedOf(id), ...partners(id, 'graphics', 'cpu')], '<=', 0)
  if (objective.kind !== 'frames') return
  row(
    allowed.map(({ at }): Term => [1, `z${at}`]),
    '=',
    1,
  )
  for (const side of ['cpu', 'graphics'] as const)
    for (const id of ofRole(side))
      row(
        [
          ...allowed.filter((pair) => pair[side] === id).map(({ at }): Term => [1, `z${at}`]),
          ...usedOf(id).map(([, variable]): Term => [-1, variable]),
        ],
        '=',
        0,
      )
  for (const [at] of frames.entries())
    if (!allowed.some((pair) => pair.at === at)) row({ [`z${at}`]: 1 }, '=', 0)
}

/** All hunts in by the day with the chance wanted; what never comes in is not taken. */
function waitRow({ ways, within, waits = [] }: PlanProblem, taken: (way: number) => string, row: Row): void {
  if (within === null) return
  const terms: Term[] = []
  for (const [at, { perDay }] of ways.entries()) {
    if (perDay === null) continue
    const chance = perDay > 0 && within.days > 0 ? -Math.expm1(-perDay * within.days) : 0
    if (chance === 0) row({ [taken(at)]: 1 }, '=', 0)
    else terms.push([-Math.log(chance), taken(at)])
  }
  const others = waits.reduce((sum, perDay) => sum - Math.log(-Math.expm1(-perDay * within.days)), 0)
  if (terms.length > 0 || others > 0) row(terms, '<=', -Math.log(within.chance) - others + 1e-9)
}
