import { afterAll, beforeAll, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { fastestFor, type BuildQuestion } from '#core/planning/buildQuestion'
import { planBuild, type BuildPlan, type PlanCarriedOut, type PlanIds } from '#core/planning/planBuild'
import { startsMachine } from '#core/parts/startsMachine'
import { leastFactor } from '#core/planning/planProblem'
import type { Solver } from '#core/planning/solvePlan'
import { CoreError } from '#core/errors/coreError'
import { buildReading } from '#server/context/readBuild'
import { sources } from '#server/db/schema/sources'
import { planCarriedOut } from '#server/places/plan/planCarriedOut'
import { planPage } from '#server/places/plan/planQuestion'
import { createRival, changeRival } from '#server/places/rivals/rivals'
import { rivalQuestion } from '#server/places/scales/rivalQuestion'
import { setRivals } from '#server/places/scales/setRivals'
import { takePlan } from '#server/places/plan/takePlan'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { rivalSchema } from '#shared/rivals/schemas'
import { chance } from '../../demo/random'
import { newSolver } from '../core/planning/newSolver'
import { today } from './marketWithBuild'
import { builtAt, pick, randomMarket, type Draw, type RandomMarket } from './randomBuilds'

/**
 * What a plan says is what the receipt says once it is taken, and what is called proven is beaten by nothing: random
 * builds with carts, codes, lots, a shop of terms beyond the program, lows; every plan against all that differs from it
 * in one role, and against sets thrown together.
 */
const seeds = Number(process.env.TARVIN_PROPOSALS ?? 30) / 3
/** Of the same beside a rival: each is asked two plans. */
const rivals = seeds / 2

let place: RandomMarket
let solve: Solver
beforeAll(async () => {
  place = await randomMarket()
  solve = await newSolver(20)
})
afterAll(() => place.close())

const floor = { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium' }
const targetsAt = (draw: Draw) =>
  draw.whole(0, 1) === 0 ? [] : [{ ...floor, averageFps: draw.whole(60, 140), lowFps: draw.whole(40, 100) }]

/** How the shop charges: mostly in terms that the program knows, now and then not. */
const termsAt = (draw: Draw) => ({
  shippingAmount: draw.whole(0, 2) * 450,
  shippingFreeFrom: draw.whole(0, 1) === 0 ? null : draw.whole(40, 120) * 100,
  paymentFeePercent: draw.whole(0, 3) === 0 ? 2.5 : 0,
  codes:
    draw.whole(0, 2) > 0
      ? []
      : [
          {
            word: 'LESS',
            kind: 'percent' as const,
            value: '8',
            role: draw.whole(0, 1) === 0 ? null : ('cpu' as const),
            stackable: draw.whole(0, 1) === 0,
            minSpend: '30.00',
            validFrom: null,
            validUntil: null,
            cap: null,
            isPublic: true,
            once: false,
            usedOn: null,
          },
        ],
})

const carriedOut = (world: World, build: string, ids: PlanIds, rivalId?: string): PlanCarriedOut | null => {
  try {
    const plan = { ways: [...ids.ways], sold: [...ids.sold], without: [...ids.without], rivalId }
    return planCarriedOut(world, build, plan, today)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}

/** Ways that fill each role once, what of them is not kept named; null where a role stays empty. */
function setOf({ ways, roles, parts }: BuildQuestion, ids: readonly string[], pins: readonly string[]) {
  const roleOf = new Map(parts.map(({ id, role }) => [id, role]))
  const filled = new Set<string>()
  const without: PlanIds['without'][number][] = []
  const chosen: string[] = []
  for (const id of new Set([...pins, ...ids])) {
    const { partIds } = ways.find((way) => way.id === id)!
    const isNew = partIds.some((part) => roleOf.has(part) && !filled.has(roleOf.get(part)!))
    if (!isNew && !pins.includes(id)) continue
    chosen.push(id)
    for (const part of partIds) {
      const role = roleOf.get(part)
      if (role === undefined) continue
      if (filled.has(role)) without.push({ way: id, part })
      filled.add(role)
    }
  }
  return roles.every((role) => filled.has(role)) ? { ways: chosen, sold: [], without } : null
}

/** Whether a machine meets what is wished, by what the screens say of it. */
function isAllowed(question: BuildQuestion, ids: PlanIds, told: PlanCarriedOut): boolean {
  const { targets, wishes, parts, ways } = question
  const planned = ids.ways.flatMap((id) =>
    ways
      .find((way) => way.id === id)!
      .partIds.filter((part) => !ids.without.some((each) => each.way === id && each.part === part)),
  )
  const kept = parts.filter(({ id }) => planned.includes(id))
  const sum = (fact: 'limitW' | 'boardPowerW' | 'ratedW') =>
    kept.reduce((all, { facts }) => all + (facts[fact] ?? 0), 0)
  const modules = kept.reduce(
    (all, { role, facts }) => all + (role === 'memory' ? (facts.kitCount ?? 1) : 0),
    0,
  )
  // a turning drive is none to plan a machine on
  if (!kept.every(startsMachine)) return false
  const draw = sum('limitW') + sum('boardPowerW') + 3 * modules + 54
  return (
    told.findings.every(
      ({ severity, why }) => severity !== 'stops' || why.every(({ partId }) => !planned.includes(partId)),
    ) &&
    targets.every(
      ({ averageFps, lowFps }, at) =>
        (told.fps?.[at] ?? 0) >= averageFps && (told.lows?.[at] ?? 0) >= (lowFps ?? 0),
    ) &&
    (wishes.budget === null || (told.payNow ?? Infinity) <= wishes.budget) &&
    sum('ratedW') >= (wishes.supplyFactor ?? leastFactor) * draw
  )
}

test(
  `${seeds} builds: a plan is its receipt, and nothing tried beats what is called proven`,
  { timeout: seeds * 30_000 },
  async () => {
    const { db } = place
    const counts = { optimal: 0, feasible: 0, infeasible: 0 }
    const beaten: object[] = []
    let tried = 0
    for (let seed = 1; seed <= seeds; seed += 1) {
      const draw = chance(9100 + seed)
      await db.update(sources).set(termsAt(draw)).where(eq(sources.id, 'shop'))
      const { build } = await builtAt(place, draw, targetsAt(draw))
      const world = await useWorld(db)
      const { question: page, present } = planPage(world, build, today)
      const budget = draw.whole(0, 2) === 0 ? page.wishes.budget : null
      const wishes = { ...page.wishes, budget, days: null, memoryGb: null, driveGb: null }
      const question = { ...page, wishes }
      const plan = await planBuild(question, solve, (ids) => carriedOut(world, build, ids)!)
      counts[plan.status] += 1
      const pins = question.ways.filter((way) => way.resale !== undefined).map(({ id }) => id)
      const allPins = [...new Set([...question.pins, ...pins])]
      for (const ids of othersOf(question, plan, allPins, draw)) {
        const told = carriedOut(world, build, ids)
        if (told === null || told.cost === null || !isAllowed(question, ids, told)) continue
        tried += 1
        if (plan.status !== 'feasible' && told.cost < (plan.cost ?? Infinity))
          beaten.push({ seed, by: ids, cost: told.cost, plan: asInput(plan), planCost: plan.cost })
      }
      if (plan.status === 'infeasible') continue
      expect([seed, plan.cost! >= plan.bound! - 1]).toEqual([seed, true])
      // its lines add up to what it says
      expect([seed, plan.ways.reduce((sum, way) => sum + way.payNow, 0)]).toEqual([seed, plan.payNow])
      await takePlan(db, build, { ...asInput(plan), present: [...present], into: 'build', name: '' }, today)
      const { view } = buildReading(await useWorld(db), build, today)
      const { payNow, expected } = view.receipt.totals
      expect([seed, plan.whole]).toEqual([seed, { payNow, expected }])
    }
    expect(beaten).toEqual([])
    expect(counts.optimal).toBeGreaterThan(seeds / 2)
    expect(counts.feasible).toBeLessThanOrEqual(seeds / 10)
    expect(tried).toBeGreaterThan(seeds * 5)
  },
)

test(
  `${rivals} builds: what matches a rival is beaten by nothing tried, nor the fastest for its cost to own or for the budget`,
  { timeout: rivals * 30_000 },
  async () => {
    const { db } = place
    const beaten: object[] = []
    const counts = { match: 0, spend: 0, budget: 0, feasible: 0, tried: 0 }
    const { id: rivalId } = await createRival(db, rivalSchema.cast(rivalAt(800)))
    for (let seed = 1; seed <= rivals; seed += 1) {
      const draw = chance(9700 + seed)
      await db.update(sources).set(termsAt(draw)).where(eq(sources.id, 'shop'))
      const { build } = await builtAt(place, draw, [{ ...floor, averageFps: 60 }])
      await changeRival(db, rivalId, rivalSchema.cast(rivalAt(draw.whole(400, 1600))))
      await setRivals(db, build, [rivalId], today)
      const world = await useWorld(db)
      for (const goal of ['match', 'spend', 'budget'] as const) {
        const page = planPage(world, build, today)
        const asked =
          goal === 'budget'
            ? fastestFor(page.question, page.within ?? 0)!
            : rivalQuestion(world, build, { goal, rivalId }, today)
        const question = { ...asked, wishes: { ...asked.wishes, days: null } }
        const plan = await planBuild(question, solve, (ids) => carriedOut(world, build, ids, rivalId)!)
        if (plan.status !== 'infeasible') counts[goal] += 1
        if (plan.status === 'feasible') counts.feasible += 1
        if (plan.toOwn && goal === 'spend')
          expect([seed, plan.toOwn.own <= plan.toOwn.rival]).toEqual([seed, true])
        const pins = question.ways.filter((way) => way.resale !== undefined).map(({ id }) => id)
        const allPins = [...new Set([...question.pins, ...pins])]
        // two things of mine in one role are no machine to a plan
        if (fillsTwice(question, allPins)) continue
        for (const ids of othersOf(question, plan, allPins, draw)) {
          const told = carriedOut(world, build, ids, rivalId)
          if (told === null || told.cost === null || !isReached(question, goal, ids, told)) continue
          counts.tried += 1
          const isBetter =
            goal === 'match'
              ? told.cost < (plan.cost ?? Infinity)
              : told.fps![0]! > (plan.fps?.[0] ?? 0) * (1 + 1e-6)
          if (plan.status !== 'feasible' && isBetter)
            beaten.push({
              seed,
              goal,
              by: ids,
              told: told.toOwn,
              fps: [told.fps, plan.fps],
              cost: [told.cost, plan.cost],
            })
        }
      }
    }
    expect(beaten).toEqual([])
    expect(counts.match).toBeGreaterThan(rivals / 2)
    expect(counts.spend).toBeGreaterThan(rivals / 3)
    expect(counts.budget).toBeGreaterThan(rivals / 6)
    expect(counts.feasible).toBeLessThanOrEqual(rivals / 5)
    expect(counts.tried).toBeGreaterThan(rivals * 10)
  },
)

function fillsTwice({ ways, parts }: BuildQuestion, pins: readonly string[]): boolean {
  const roles = ways
    .filter(({ id }) => pins.includes(id))
    .flatMap(({ partIds }) => parts.flatMap(({ id, role }) => (partIds.includes(id) ? [role] : [])))
  return new Set(roles).size < roles.length
}

/** Whether a machine is one that was asked for beside the rival. */
function isReached(
  question: BuildQuestion,
  goal: 'match' | 'spend' | 'budget',
  ids: PlanIds,
  told: PlanCarriedOut,
): boolean {
  const { wishes, targets } = question
  const floors = targets.map((target, at) => ({
    ...target,
    averageFps: goal === 'match' ? (wishes.floors[at] ?? 0) : 0,
    lowFps: null,
  }))
  const sizes = (role: string, least: number | null) =>
    ids.ways.every((id) =>
      question.ways
        .find((way) => way.id === id)!
        .partIds.filter((part) => !ids.without.some((each) => each.way === id && each.part === part))
        .flatMap((part) => question.parts.filter((each) => each.id === part && each.role === role))
        .every(({ facts }) => (facts.capacityGb ?? 0) >= (least ?? 0)),
    )
  return (
    told.fps !== null &&
    isAllowed({ ...question, targets: floors }, ids, told) &&
    sizes('memory', wishes.memoryGb) &&
    sizes('storage', wishes.driveGb) &&
    (goal !== 'spend' || told.toOwn!.own <= told.toOwn!.rival)
  )
}

const rivalAt = (price: number) => ({
  name: 'The tower',
  kind: 'prebuilt',
  price: `${price}.00`,
  currency: 'CAD',
  taxPercent: 13,
  shippingStated: true,
  shipping: '0.00',
  cpuId: 'cpu-0',
  graphicsId: 'graphics-0',
  brings: [],
  warrantyMonths: 24,
})

const asInput = ({ ways, sold, without }: BuildPlan) => ({
  ways: ways.map(({ id }) => id),
  sold: sold.map(({ way }) => way.id),
  without: [...without],
})

/** Sets that differ from the plan in one way, and sets thrown together. */
function* othersOf(question: BuildQuestion, plan: BuildPlan, pins: readonly string[], draw: Draw) {
  const planned = plan.ways.map(({ id }) => id)
  for (const way of question.ways) {
    const ids = setOf(question, [way.id, ...planned], pins)
    if (ids) yield ids
  }
  for (let each = 0; each < 20; each += 1) {
    const order = question.ways.map(({ id }) => id).sort(() => draw.whole(0, 2) - 1)
    const kept = planned.length > 0 ? [pick(draw, planned)] : []
    const ids = setOf(question, [...kept, ...order], pins)
    if (ids) yield ids
  }
}
