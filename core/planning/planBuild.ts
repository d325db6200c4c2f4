import { checkFit } from '../machine/fit/checkFit'
import type { Finding } from '../machine/fit/finding'
import { fitRules } from '../machine/fit/rules'
import type { Part, Role } from '../parts/part'
import { startsMachine } from '../parts/startsMachine'
import { countedFps, estimateFrameRate } from '../performance/model/estimateFrameRate'
import { frameMachineOf } from '../performance/model/machineOf'
import type { Code } from '../supply/landed/codes'
import type { Order } from '../supply/landed/landedCost'
import { maybeSold, pinsOf, type BuildQuestion, type BuildWay, type PlanWishes } from './buildQuestion'
import { planMoney, type PlannedOrder } from './planMoney'
import type { PlanPair, PlanProblem } from './problem'
import { solvePlan, type Plan, type Solver } from './solvePlan'

/** A plan for a build. */
export interface BuildPlan {
  readonly status: Plan['status']
  /** Expected cost and what is paid now, minor units; null where nothing was found. */
  readonly cost: number | null
  readonly payNow: number | null
  /** Paid now less what comes out sold on, each at the chance that it sells. */
  readonly outOfPocket: number | null
  /** Things of mine that it does without, with what they bring. */
  readonly sold: readonly { readonly way: BuildWay; readonly brings: number }[]
  /** Each with what it bears of its order. */
  readonly ways: readonly BuildWay[]
  /** Ways that are paid together. */
  readonly orders: readonly PlannedOrder[]
  /** What is kept of each way. */
  readonly kept: readonly { readonly wayId: string; readonly part: Part }[]
  /** Frame rates, one for each target. */
  readonly fps: readonly number[] | null
  readonly waitDays: number | null
  /** Findings of the planned machine that do not stop it. */
  readonly findings: readonly Pick<Finding, 'key' | 'ruleId' | 'severity' | 'what' | 'why'>[]
  /** What the fit check could not tell, since a fact is not known: proven cheapest, and still to be asked. */
  readonly unchecked: readonly string[]
  /** How often the fit check sent a machine back. */
  readonly rounds: number
}

/** So often a machine that cannot work is sent back before the best known is told. */
const mostRounds = 20
const chance = 0.8
/** Watts that no listed part of the program draws: board, drive, fans, USB. */
const besides = 54

/**
 * The best set of ways for a build: the program of `program.ts` with pairs that stop each other kept apart, solved
 * again as long as the fit check of the whole machine finds something that stops, which then becomes a row.
 */
export function planBuild(question: BuildQuestion, solve: Solver, known?: PlanGround): BuildPlan {
  const ground = known ?? groundOf(question)
  const cuts: string[][] = []
  for (let round = 1; ; round += 1) {
    const plan = solvePlan(problemOf(question, ground, cuts), solve)
    const found = planOf(question, plan, round)
    const stopping = plan.status === 'infeasible' ? [] : stopsOf(found)
    if (stopping.length === 0 || round === mostRounds) return found
    cuts.push(...stopping)
  }
}

/** What is the same for every wish: pairs that clash, and frames of every pair. */
export interface PlanGround {
  readonly apart: readonly (readonly string[])[]
  readonly frames: readonly PlanPair[]
}

export function groundOf(question: BuildQuestion): PlanGround {
  return { apart: apartOf(question), frames: framesOf(question) }
}

/** Roles of which pairs are asked for before anything is solved, by the rules that read both. */
const pairRoles = [
  ['cpu', 'motherboard'],
  ['memory', 'motherboard'],
  ['motherboard', 'case'],
  ['graphics', 'case'],
  ['graphics', 'motherboard'],
  ['cooler', 'case'],
  ['cooler', 'motherboard'],
  ['storage', 'motherboard'],
  ['supply', 'case'],
  ['supply', 'motherboard'],
] as const satisfies readonly (readonly [Role, Role])[]

/** Pairs of parts that stop each other, whatever else is in the machine but what is in it already. */
function apartOf({ parts, brief, fixed }: BuildQuestion): string[][] {
  const ofRole = (role: Role) => parts.filter((part) => part.role === role)
  const extras = fixed.filter(({ role }) => role === 'extra')
  return pairRoles.flatMap(([one, other]) => {
    const rules = fitRules.filter((rule) => rule.reads.some(({ role }) => role === one || role === other))
    return ofRole(one).flatMap((a) =>
      ofRole(other).flatMap((b) =>
        checkFit({ parts: [a, b, ...extras], brief }, rules).findings.some(
          ({ severity, why }) =>
            severity === 'stops' && [a.id, b.id].every((id) => why.some(({ partId }) => partId === id)),
        )
          ? [[a.id, b.id]]
          : [],
      ),
    )
  })
}

function framesOf({ parts, targets, workloads }: BuildQuestion): PlanPair[] {
  if (targets.length === 0) return []
  const ofRole = (role: Role) => parts.filter((part) => part.role === role)
  return ofRole('cpu').flatMap((cpu) =>
    ofRole('graphics').flatMap((graphics): PlanPair[] => {
      const { machine } = frameMachineOf([cpu, graphics])
      if (!machine) return []
      const fps = targets.map(({ workloadId, settings }) =>
        countedFps(
          estimateFrameRate(
            workloads.find(({ id }) => id === workloadId)!,
            machine,
            settings,
          ),
        ),
      )
      return [{ cpu: cpu.id, graphics: graphics.id, fps }]
    }),
  )
}

function problemOf(question: BuildQuestion, ground: PlanGround, cuts: readonly string[][]): PlanProblem {
  const { wishes, roles, goal, maySell } = question
  const isOwned = (way: BuildWay) => maySell > 0 && maybeSold(way)
  const isLarge = isLargeEnough(wishes)
  const pins = pinsOf(question)
  const stays = new Set(
    question.ways.flatMap((way) => (pins.includes(way.id) || isOwned(way) ? way.partIds : [])),
  )
  const parts = new Map(
    question.parts.filter((part) => isLarge(part) || stays.has(part.id)).map((part) => [part.id, part]),
  )
  const tooSmall = question.ways.filter(
    (way) =>
      isOwned(way) &&
      !pins.includes(way.id) &&
      way.partIds.some((id) => parts.has(id) && !isLarge(parts.get(id)!)),
  )
  const offered = question.ways
    .map((way) => ({ way, own: way.partIds.filter((id) => parts.has(id)) }))
    .filter(({ own }) => own.length > 0)
  const floors = question.targets.map((_, at) => wishes.floors[at] ?? 0)
  const counts = goal === 'fastest' || floors.some((floor) => floor > 0)
  const having = (isIt: (part: Part) => boolean) =>
    new Set([...parts.values()].filter((part) => part.role === 'cpu' && isIt(part)).map(({ id }) => id))
  return {
    goal: { kind: goal, budget: wishes.budget, floors: counts ? floors : [] },
    roles,
    parts,
    ways: offered.map(({ way, own }) => ({
      id: way.id,
      source: way.source,
      things: own.map((partId) => ({ partId, resale: maySell > 0 ? (way.resale ?? 0) : 0 })),
      ...(isOwned(way) ? { owned: true } : {}),
      // alone, it is what is paid for it; in an order, what stands in the cart
      price: way.source !== null && way.order ? itemsOf(way.order) : way.payNow,
      expectedExtra: way.expected - way.payNow,
      perDay: way.perDay,
    })),
    sources: new Map(question.orders.map(({ source, terms }) => [source, terms])),
    codes: new Map(
      question.orders.flatMap(({ source, code }): [string, Code][] => (code ? [[source, code]] : [])),
    ),
    frames: ground.frames.filter(({ cpu, graphics }) => parts.has(cpu) && parts.has(graphics)),
    within: wishes.days === null ? null : { days: wishes.days, chance },
    pins,
    ...(maySell > 0 ? { mostSold: maySell } : {}),
    // what is mine and too small is there to be sold, not to be kept
    bans: [...question.bans, ...tooSmall.map(({ id }) => id)],
    preferred: new Set(offered.flatMap(({ way }) => (way.isPresent ? [way.id] : []))),
    standsIn: new Map([
      ['cooler', having(({ facts }) => facts.coolerIncluded === true)],
      ...(counts ? [] : [['graphics', having(({ facts }) => facts.integratedGraphics === true)] as const]),
    ]),
    apart: [...ground.apart, ...cuts],
    watts: { factor: wishes.supplyFactor ?? leastFactor, besides },
  }
}

const itemsOf = ({ items }: Order) => items.reduce((sum, { price, quantity }) => sum + price * quantity, 0)

/** Below so many times its draw a supply is never planned. */
export const leastFactor = 1.15

const isLargeEnough =
  ({ memoryGb, driveGb }: PlanWishes) =>
  (part: Part) => {
    const { role, facts } = part
    const isOfSize = (least: number | null) => least === null || (facts.capacityGb ?? 0) >= least
    if (role === 'memory') return isOfSize(memoryGb)
    return startsMachine(part) && (role !== 'storage' || isOfSize(driveGb))
  }

function planOf(question: BuildQuestion, plan: Plan, rounds: number): BuildPlan {
  const part = (id: string) => question.parts.find((each) => each.id === id)!
  const kept = plan.kept.map(({ wayId, partId }) => ({ wayId, part: part(partId) }))
  const report = checkFit({ parts: machineOf(question, kept), brief: question.brief })
  const money = planMoney(
    plan.ways.map((id) => question.ways.find((way) => way.id === id)!),
    question.orders,
  )
  const isFound = plan.status !== 'infeasible'
  const sold = money.ways.flatMap((way) =>
    kept.some(({ wayId }) => wayId === way.id) ? [] : [{ way, brings: way.resale ?? 0 }],
  )
  const brings = sold.reduce((sum, each) => sum + each.brings, 0)
  return {
    status: plan.status,
    cost: isFound ? money.expected - brings : null,
    payNow: isFound ? money.payNow : null,
    outOfPocket: isFound ? money.payNow - brings : null,
    ways: money.ways.filter(({ id }) => kept.some(({ wayId }) => wayId === id)),
    sold,
    orders: money.orders,
    kept,
    fps: plan.fps,
    waitDays: plan.waitDays,
    // fixes are functions, which no worker hands over
    findings: report.findings.map(({ key, ruleId, severity, what, why }) => ({
      key,
      ruleId,
      severity,
      what,
      why,
    })),
    unchecked: report.cannotCheck.map(({ what }) => what),
    rounds,
  }
}

const machineOf = ({ fixed }: BuildQuestion, kept: BuildPlan['kept']): Part[] => [
  ...kept.map(({ part }) => part),
  ...fixed,
]

/** Sets of planned parts of which one must go: those a stopping finding names, else all of the machine. */
function stopsOf({ kept, findings }: BuildPlan): string[][] {
  const planned = new Set(kept.map(({ part }) => part.id))
  return findings
    .filter(({ severity }) => severity === 'stops')
    .map(({ why, ruleId }) => {
      const named = [...new Set(why.map(({ partId }) => partId))].filter((id) => planned.has(id))
      const sums = kept.filter(({ part }) => summed[ruleId]?.includes(part.role)).map(({ part }) => part.id)
      return [...new Set([...named, ...sums])]
    })
    .filter((set) => set.length > 0)
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
