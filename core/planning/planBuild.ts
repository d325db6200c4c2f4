import { checkFit } from '../machine/fit/checkFit'
import type { Finding } from '../machine/fit/finding'
import type { Part, Role } from '../parts/part'
import type { BuildQuestion, BuildWay } from './buildQuestion'
import { costlyPairs } from './ownBudget'
import { dearerBaskets, frameCuts } from './planCuts'
import { groundOf, type PlanGround } from './planGround'
import { besideOf, problemOf } from './planProblem'
import type { PlanCostly, PlanDearer, PlanMost, PlanProblem, PlanSlower } from './problem'
import { valueOf } from './rows'
import { best, inOrder, type Found, type Plan, type Solver } from './solvePlan'

/** A plan for a build: what the program found, and what the screens show once it is carried out. */
export interface BuildPlan extends Omit<PlanCarriedOut, 'ways'> {
  /** Optimal: proven, by the figures of the receipt. */
  readonly status: Plan['status']
  /**
   * Nothing that meets the wishes takes less than this, minor units; null where there is nothing, and where what it
   * takes is not asked. Infeasible with a bound: none was found in the time.
   */
  readonly bound: number | null
  /** Paid now less what comes out sold on, each at the chance that it sells. */
  readonly outOfPocket: number | null
  /** Things of mine that it does without, with what they bring. */
  readonly sold: readonly { readonly way: BuildWay; readonly brings: number }[]
  /** Each with what it bears of its order. */
  readonly ways: readonly BuildWay[]
  /** What is kept of each way. */
  readonly kept: readonly { readonly wayId: string; readonly part: Part }[]
  /** What of its ways it does without. */
  readonly without: PlanIds['without']
  /** How often a machine was sent back. */
  readonly rounds: number
}

/** Whether a plan is the build as it stands: the same ways, and nothing else of them. */
export function isAsItIs(
  { ways }: Pick<BuildQuestion, 'ways'>,
  plan: Pick<BuildPlan, 'ways' | 'without'>,
): boolean {
  const present = ways.filter((way) => way.isPresent)
  const outOf = (id: string) => plan.without.flatMap(({ way, part }) => (way === id ? [part] : []))
  return (
    plan.ways.length === present.length &&
    present.every(
      ({ id, leftOut = [] }) =>
        plan.ways.some((way) => way.id === id) &&
        [...new Set(leftOut)].sort().join() === [...new Set(outOf(id))].sort().join(),
    )
  )
}

/** A plan by what it is made of: ways that are in it, what of them it leaves, things of mine it does without. */
export interface PlanIds {
  readonly ways: readonly string[]
  readonly sold: readonly string[]
  readonly without: readonly { readonly way: string; readonly part: string }[]
}

/** Several ways of a plan that are paid in one order. Minor units. */
export interface PlannedOrder {
  /** The shop's name. */
  readonly name: string
  readonly wayIds: readonly string[]
  readonly payNow: number
  readonly shipping: number
  /** Codes that are used. */
  readonly codes: readonly string[]
}

/** What a plan comes to where it is carried out: by whoever answers for receipt, frames and findings. */
export interface PlanCarriedOut {
  /** What the ways of the plan add to the build: expected, what comes along sold on; minor units, null where not known. */
  readonly cost: number | null
  /** What of it is paid now. */
  readonly payNow: number | null
  /** What each way bears. */
  readonly ways: readonly { readonly id: string; readonly payNow: number; readonly expected: number }[]
  /** Ways that are paid together. */
  readonly orders: readonly PlannedOrder[]
  /** Frame rates and lows, one for each target; null where the machine has none. */
  readonly fps: readonly number[] | null
  readonly lows: readonly number[] | null
  /** Days until all hunts of the build are in, 8 times of 10; null where one of them never is. */
  readonly waitDays: number | null
  /** Hunts of which nobody knows how long they take: the days do not count them. */
  readonly uncounted: readonly string[]
  readonly findings: readonly Pick<Finding, 'key' | 'ruleId' | 'severity' | 'what' | 'why'>[]
  /** What the fit check could not tell, since a fact is not known. */
  readonly unchecked: readonly string[]
  /** The whole build after it; null where nobody asks. */
  readonly whole: { readonly payNow: number | null; readonly expected: number | null } | null
  /** What it and the machine beside it take to own; left out where nobody asks. */
  readonly toOwn?: { readonly own: number; readonly rival: number }
}

/** Carries a plan out where nobody else sees it, and says what it comes to. */
export type CarryOut = (plan: PlanIds) => PlanCarriedOut | Promise<PlanCarriedOut>

/** So often a machine is sent back before the best known is told, with what none can be cheaper than. */
const mostRounds = 40
/** Amounts are whole: what is dearer than the bound by less than one is the cheapest. The rest is the program's own. */
const within = 0.8

/**
 * The best set of ways for a build, by the figures of its receipt, its bench and its fit check: the program of
 * `program.ts` says what may be best and what nothing can be cheaper than; that is carried out; and what the program did
 * not know of it (a finding of three parts, slow memory, an order beyond plain terms) becomes a row, until nothing
 * cheaper can be left.
 */
export async function planBuild(
  question: BuildQuestion,
  solve: Solver,
  carryOut: CarryOut,
  known?: PlanGround,
): Promise<BuildPlan> {
  const ground = known ?? groundOf(question)
  const cuts = {
    atMost: [] as PlanMost[],
    dearer: [] as PlanDearer[],
    slower: [] as PlanSlower[],
    costly: [] as PlanCostly[],
  }
  let leading: BuildPlan | null = null
  /** Nothing of what has not been looked at takes less. */
  let least: number | null = null
  for (let round = 1; round <= mostRounds; round += 1) {
    const problem = inOrder(problemOf(question, ground, cuts))
    const found = best(problem, solve)
    // where nothing is left, the best that was carried out is the best there is
    if (found.solved.status === 'infeasible')
      return leading ? { ...leading, status: 'optimal', rounds: round } : { ...nothing, rounds: round }
    const sought = readFound(question, problem, found)
    least = sought.cost
    const parts = sought.kept.map(({ part }) => part)
    const frames = frameCuts(question, parts, cuts.slower)
    const stops = stopsOf(sought.kept, checkedBy(question, parts))
    cuts.atMost.push(...frames.atMost, ...stops)
    cuts.slower.push(...frames.slower)
    if (stops.length + frames.atMost.length + frames.slower.length > 0) continue
    const costly = costlyPairs(question, parts).filter((each) => !isTold(cuts.costly, each))
    cuts.costly.push(...costly)
    if (costly.length > 0) continue
    const dearer = dearerBaskets(question, sought.taken, found)
    cuts.dearer.push(...dearer)
    if (dearer.reduce((sum, { cost }) => sum + cost, 0) >= within) continue
    const plan = planOf(sought, await carryOut(sought.ids), round)
    const forbidden = stopsOf(sought.kept, plan.findings)
    cuts.atMost.push(...forbidden)
    if (forbidden.length > 0) continue
    const over = question.own && plan.toOwn ? plan.toOwn.own - plan.toOwn.rival : 0
    const isTooDear = (plan.outOfPocket ?? 0) > (question.wishes.budget ?? Infinity) || over > 0
    if (!isTooDear && (!leading || isBetter(plan, leading))) leading = plan
    const bound = question.own ? null : sought.cost
    if (leading) {
      leading = { ...leading, bound, rounds: round }
      // of machines as fast that may be owned, which is cheapest is not asked
      const isCheapest = bound === null || (leading.cost ?? Infinity) < bound + within
      const isProven = found.solved.status === 'optimal' && isCheapest
      if (isProven) return { ...leading, status: 'optimal' }
    }
    if (plan.cost === null || plan.payNow === null) break
    cuts.dearer.push({
      order: null,
      among: question.ways.map(({ id }) => id),
      basket: sought.taken.map(({ id }) => id),
      pay: Math.max(0, plan.outOfPocket! - sought.pay),
      cost: Math.max(0, plan.cost - sought.cost),
      ...(question.own && { own: Math.max(0, over + question.own.most - sought.own) }),
    })
  }
  return leading ?? { ...nothing, bound: least, rounds: mostRounds }
}

/** What the program found, as ways and parts. */
interface Sought {
  /** All that is taken, things of mine that it sells among them. */
  readonly taken: readonly BuildWay[]
  readonly kept: BuildPlan['kept']
  readonly sold: readonly BuildWay[]
  readonly ids: PlanIds
  /** By the program: of what is planned alone. */
  readonly cost: number
  readonly pay: number
  /** What it adds at the least to what the machine takes to own. */
  readonly own: number
}

const isTold = (told: readonly PlanCostly[], { pair, parts, more }: PlanCostly) =>
  told.some((each) => each.pair === pair && each.more >= more && parts.every((id) => each.parts.includes(id)))

function readFound(question: BuildQuestion, { ways }: PlanProblem, found: Found): Sought {
  const wayOf = new Map(question.ways.map((way) => [way.id, way]))
  const partOf = new Map(question.parts.map((part) => [part.id, part]))
  const taken: BuildWay[] = []
  const kept: BuildPlan['kept'][number][] = []
  for (const [at, things] of found.kept) {
    const { id, things: all } = ways[at]!
    if (!wayOf.has(id)) continue
    taken.push(wayOf.get(id)!)
    kept.push(...things.map((thing) => ({ wayId: id, part: partOf.get(all[thing]!.partId)! })))
  }
  const isKept = ({ id }: BuildWay) => kept.some(({ wayId }) => wayId === id)
  const sold = taken.filter((way) => !isKept(way))
  const held = taken.filter(isKept)
  return {
    taken,
    kept,
    sold,
    ids: {
      ways: held.map(({ id }) => id),
      sold: sold.map(({ id }) => id),
      without: held.flatMap(({ id, partIds }) => {
        const left = kept.flatMap(({ wayId, part }) => (wayId === id ? [part.id] : []))
        return partIds.flatMap((part) => {
          const at = left.indexOf(part)
          if (at >= 0) left.splice(at, 1)
          return at >= 0 ? [] : [{ way: id, part }]
        })
      }),
    },
    cost: valueOf(found.cost, found.solved.values) - besideOf(question),
    pay: valueOf(found.pay, found.solved.values) - besideOf(question),
    own: valueOf(found.own ?? [], found.solved.values),
  }
}

function planOf({ taken, kept, sold, ids }: Sought, carried: PlanCarriedOut, rounds: number): BuildPlan {
  const brings = sold.map((way) => ({ way, brings: way.resale ?? 0 }))
  const comesIn = brings.reduce((sum, each) => sum + each.brings, 0)
  const bears = new Map(carried.ways.map(({ id, ...figures }) => [id, figures]))
  return {
    ...carried,
    status: 'feasible',
    bound: null,
    cost: carried.cost === null ? null : carried.cost - comesIn,
    outOfPocket: carried.payNow === null ? null : carried.payNow - comesIn,
    ways: taken.filter((way) => !sold.includes(way)).map((way) => ({ ...way, ...bears.get(way.id) })),
    sold: brings,
    kept,
    without: ids.without,
    rounds,
  }
}

const nothing: BuildPlan = {
  status: 'infeasible',
  bound: null,
  cost: null,
  payNow: null,
  outOfPocket: null,
  ways: [],
  sold: [],
  orders: [],
  kept: [],
  without: [],
  fps: null,
  lows: null,
  waitDays: null,
  uncounted: [],
  findings: [],
  unchecked: [],
  whole: null,
  rounds: 0,
}

/** Of two as fast the one that costs less; only the fastest has frames that differ by what is asked for. */
function isBetter(plan: BuildPlan, other: BuildPlan): boolean {
  return (plan.cost ?? Infinity) < (other.cost ?? Infinity)
}

const checkedBy = ({ fixed, brief, settled }: BuildQuestion, parts: readonly Part[]) =>
  checkFit({ parts: [...parts, ...fixed], brief, settled: new Set(settled) }).findings

/** Sets of planned parts of which one must go: those a stopping finding names, else all of the machine. */
function stopsOf(kept: BuildPlan['kept'], findings: BuildPlan['findings']): PlanMost[] {
  const planned = new Set(kept.map(({ part }) => part.id))
  return findings
    .filter(({ severity }) => severity === 'stops')
    .map(({ why, ruleId }) => {
      const named = [...new Set(why.map(({ partId }) => partId))].filter((id) => planned.has(id))
      const sums = kept.filter(({ part }) => summed[ruleId]?.includes(part.role)).map(({ part }) => part.id)
      return [...new Set([...named, ...sums])]
    })
    .filter((set) => set.length > 0)
    .map((parts) => ({ parts, most: parts.length - 1 }))
}

/** Rules that add up more parts than they cite: what they sum must go into the row, or it would forbid too much. */
const summed: Readonly<Record<string, readonly Role[]>> = {
  'supply-size': ['cpu', 'graphics', 'memory', 'supply'],
  'supply-twelve': ['cpu', 'graphics', 'supply'],
  'card-leads': ['graphics', 'supply'],
  'adapter-load': ['graphics', 'supply'],
  'slot-power': ['graphics', 'motherboard'],
  'sata-ports': ['storage', 'motherboard'],
  'm2-slots': ['storage', 'motherboard'],
  'cpu-leads': ['cpu', 'motherboard', 'supply'],
  'slots-covered': ['graphics', 'motherboard'],
  airflow: ['cpu', 'graphics', 'case'],
  'cpu-graphics': ['cpu', 'motherboard'],
  'no-cooler': ['cpu', 'motherboard'],
  'firmware-locked': ['motherboard'],
}
