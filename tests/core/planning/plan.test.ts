import { beforeAll, describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import { pairClashes } from '#core/planning/pairClashes'
import type { PlanProblem } from '#core/planning/problem'
import { solvePlan, type Solver } from '#core/planning/solvePlan'
import { landedCost } from '#core/supply/landed/landedCost'
import { chance as random } from '../../../demo/random'
import { newSolver } from './newSolver'

/** Small random problems against trying everything out, with the money of the receipt. */
let solve: Solver
beforeAll(async () => {
  solve = await newSolver()
})

const roles = ['cpu', 'motherboard', 'graphics', 'supply']

function problemOf(seed: number, kind: 'cheapest' | 'fastest', hasBudget: boolean): PlanProblem {
  const draw = random(seed)
  const pick = <T>(list: readonly T[]): T => list[draw.whole(0, list.length - 1)]!
  const parts = new Map<string, Part>()
  const add = (id: string, role: string, facts: object) =>
    parts.set(id, { id, role, make: '', name: id, facts } as Part)
  for (const n of [0, 1]) {
    add(`cpu${n}`, 'cpu', { socket: pick(['A', 'B']), limitW: pick([65, 95]) })
    add(`board${n}`, 'motherboard', { socket: pick(['A', 'B']) })
    add(`card${n}`, 'graphics', { boardPowerW: pick([75, 150]), eightPinLeads: pick([0, 1]), sixPinLeads: 0 })
    add(`supply${n}`, 'supply', { ratedW: pick([300, 450]), eightPinLeads: pick([0, 1, 2]), sixPinLeads: 0 })
  }
  add('extra', 'case', {})
  const ids = [...parts.keys()]
  const single = (partId: string) => [{ partId, resale: draw.whole(0, 3000) }]
  const ways = [
    ...ids.slice(0, 8).map((partId) => single(partId)),
    [...single(pick(ids.slice(0, 8))), ...single(pick(ids))],
    [...single('cpu0'), ...single('board0'), ...single('card0')],
  ].map((things, at) => ({
    id: `w${at}`,
    source: pick([null, 'shop', 'shop']),
    things,
    price: draw.whole(1500, 16_000),
    expectedExtra: draw.whole(-500, 900),
    perDay: pick([null, null, 0.2]),
  }))
  const threshold = draw.whole(8000, 30_000)
  return {
    goal: {
      kind,
      budget: hasBudget ? draw.whole(18_000, 34_000) : null,
      floors: kind === 'cheapest' && draw.whole(0, 1) ? [pick([40, 60])] : [],
    },
    roles,
    parts,
    ways,
    sources: new Map([
      [
        'shop',
        {
          shipping: draw.whole(500, 2500),
          freeFrom: pick([null, threshold, threshold]),
          taxPercent: pick([0, 13, 8.875]),
        },
      ],
    ]),
    codes: pick([
      new Map(),
      new Map([
        [
          'shop',
          {
            id: 'TEN',
            kind: 'percent' as const,
            value: 10,
            scope: {},
            stackable: true,
            ...pick([{}, { cap: 1500 }, { minSpend: 12_000 }]),
          },
        ],
      ]),
      new Map([
        [
          'shop',
          {
            id: 'OFF',
            kind: 'fixed' as const,
            value: draw.whole(500, 3000),
            scope: {},
            stackable: true,
            minSpend: pick([0, 9000]),
          },
        ],
      ]),
    ]),
    frames: [0, 1].flatMap((c) =>
      [0, 1].map((g) => ({ cpu: `cpu${c}`, graphics: `card${g}`, fps: [draw.whole(30, 90)] })),
    ),
    within: pick([null, null, { days: 20, chance: 0.9 }]),
    pins: [],
    bans: pick([[], ['w0']]),
  }
}

/** Everything that could be taken and kept, its cost by the receipt's own function. */
function bruteForce(problem: PlanProblem): { cost: number; frames: number } | null {
  const clashes = new Set(pairClashes([...problem.parts.values()]).map((pair) => pair.join(' ')))
  let best: { cost: number; frames: number } | null = null
  for (let mask = 1; mask < 2 ** problem.ways.length; mask += 1) {
    const taken = problem.ways.filter((_, at) => mask & (1 << at))
    if (taken.some(({ id }) => problem.bans.includes(id))) continue
    if (problem.within) {
      const { days, chance } = problem.within
      if (
        taken.reduce((all, { perDay }) => all * (perDay === null ? 1 : 1 - Math.exp(-perDay * days)), 1) <
        chance
      )
        continue
    }
    const inShop = taken.filter(({ source }) => source === 'shop')
    const { shipping, freeFrom, taxPercent } = problem.sources.get('shop')!
    const order =
      inShop.length === 0
        ? 0
        : landedCost({
            currency: 'CAD',
            asOf: '2026-10-31',
            source: {
              taxPercent,
              taxOnShipping: false,
              shipping: { kind: 'per-order', amount: shipping, ...(freeFrom === null ? {} : { freeFrom }) },
            },
            items: inShop.map(({ id, price }) => ({ id, role: 'x', price, quantity: 1 })),
            codes: [...problem.codes.values()],
            rebates: [],
            extras: [],
          }).payNow.amount
    const payNow =
      order + taken.filter(({ source }) => source === null).reduce((sum, { price }) => sum + price, 0)
    if (problem.goal.budget !== null && payNow > problem.goal.budget) continue
    const things = taken.flatMap((way) => way.things.map((thing) => ({ ...thing, way: way.id })))
    const resale = things.reduce((sum, thing) => sum + thing.resale, 0)
    const extra = taken.reduce((sum, { expectedExtra }) => sum + expectedExtra, 0)
    const choose = (at: number, kept: typeof things): void => {
      if (at === roles.length) {
        if (taken.some(({ id }) => !kept.some((thing) => thing.way === id))) return
        const id = (role: string) =>
          kept.find(({ partId }) => problem.parts.get(partId)!.role === role)!.partId
        const fps = problem.frames.find((pair) => pair.cpu === id('cpu') && pair.graphics === id('graphics'))!
          .fps[0]!
        if (problem.goal.floors.some((floor) => fps < floor)) return
        const watts =
          1.5 *
          (problem.parts.get(id('cpu'))!.facts.limitW! +
            problem.parts.get(id('graphics'))!.facts.boardPowerW! +
            40)
        if (problem.parts.get(id('supply'))!.facts.ratedW! < watts) return
        if (kept.some((a) => kept.some((b) => clashes.has(`${a.partId} ${b.partId}`)))) return
        const cost = payNow + extra - resale + kept.reduce((sum, thing) => sum + thing.resale, 0)
        const frames = problem.goal.kind === 'fastest' ? fps : 0
        if (best === null || frames > best.frames || (frames === best.frames && cost < best.cost))
          best = { cost, frames }
        return
      }
      for (const thing of things)
        if (problem.parts.get(thing.partId)!.role === roles[at] && !kept.includes(thing))
          choose(at + 1, [...kept, thing])
    }
    choose(0, [])
  }
  return best
}

describe.each([
  ['cheapest', false, 60],
  ['cheapest', true, 30],
  ['fastest', false, 30],
] as const)('%s, budget %s', (kind, hasBudget, seeds) => {
  test(`${seeds} problems agree with trying everything`, () => {
    let feasible = 0
    for (let seed = 1; seed <= seeds; seed += 1) {
      const problem = problemOf(1000 * (hasBudget ? 2 : 1) + seed, kind, hasBudget)
      const plan = solvePlan(problem, solve)
      const best = bruteForce(problem)
      expect([seed, plan.cost, kind === 'fastest' ? (plan.fps?.[0] ?? null) : 0]).toEqual([
        seed,
        best?.cost ?? null,
        kind === 'fastest' ? (best?.frames ?? null) : 0,
      ])
      if (best) feasible += 1
      if (plan.status === 'optimal' && problem.goal.budget !== null)
        expect(plan.payNow).toBeLessThanOrEqual(problem.goal.budget)
    }
    expect(feasible).toBeGreaterThan(seeds / 5)
  })
})

test('where nothing is possible the fewest wishes to give up are named', () => {
  const problem = problemOf(6, 'cheapest', false)
  const possible = solvePlan(
    { ...problem, goal: { ...problem.goal, floors: [] }, bans: [], within: null },
    solve,
  )
  if (possible.status !== 'optimal') throw new Error('choose another seed')
  const tooLittle = {
    ...problem,
    bans: [],
    within: null,
    goal: { kind: 'cheapest' as const, budget: 100, floors: [] },
  }
  expect(solvePlan(tooLittle, solve)).toMatchObject({ status: 'infeasible', cost: null, relax: ['budget'] })
})
