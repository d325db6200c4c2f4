import { beforeAll, describe, expect, test } from 'vitest'
import { catalogue } from '../../../demo/catalogue'
import { chance as makeChance } from '../../../demo/random'
import { demoWorkloads } from '../../../demo/trade'
import { checkFit } from '#core/machine/fit/checkFit'
import { briefDefaults } from '#core/machine/fit/rule'
import { coreRoles, type Part, type PartFacts, type Role } from '#core/parts/part'
import { pinsOf, without, wishNames, type BuildQuestion, type BuildWay } from '#core/planning/buildQuestion'
import { orderTerms } from '#core/planning/orderTerms'
import { planBuild as planned, type BuildPlan } from '#core/planning/planBuild'
import { landedCost, type Order } from '#core/supply/landed/landedCost'
import type { Solver } from '#core/planning/solvePlan'
import { ratesOf } from '#core/planning/planGround'
import { otherSpends } from '#core/planning/upgrade'
import { frameCurve, nextBest, waitCurve, wishCosts } from '#core/planning/wishCosts'
import type { Workload } from '#core/performance/model/workload'
import { machineWith } from '../machine/fit/soundMachine'
import { carriedOutBy } from './carriedOutBy'
import { newSolver } from './newSolver'
import { questionOf, wayTo } from './questionOf'

let solve: Solver
beforeAll(async () => {
  solve = await newSolver()
})
/** Plans as the page does, each carried out by the functions of the receipt. */
const planBuild = (question: BuildQuestion) => planned(question, solve, carriedOutBy(question))

const way = wayTo
const sound = machineWith()
const part = (role: Role) => sound.find((each) => each.role === role)!
const other = (role: Role, facts: PartFacts, name: string): Part => ({
  ...part(role),
  id: name,
  name,
  facts: { ...part(role).facts, ...facts },
})
const priceOf: Readonly<Partial<Record<Role, number>>> = { cpu: 8000, graphics: 13_000, supply: 5000 }

const question = (parts: readonly Part[], some: Partial<BuildQuestion> = {}) =>
  questionOf(parts, ({ role }) => priceOf[role] ?? 3000, some)
/** All that comes one after the other. */
async function allOf<T>(each: AsyncIterable<T>): Promise<T[]> {
  const all: T[] = []
  for await (const one of each) all.push(one)
  return all
}
const names = (plan: BuildPlan) => plan.kept.map((each) => each.part.name).sort()

/** A shop that ships an order for 10.00, free from 100.00, tax 13 %. */
const pantry = {
  source: 'pantry',
  name: 'Pantry',
  terms: { shipping: 1000, freeFrom: 10_000, taxPercent: 13, taxOnShipping: false },
  code: null,
  beside: [],
  besidePays: 0,
  currency: 'CAD',
  rate: 1,
}
const orderOf = (id: string, price: number, some: Partial<Order> = {}): Order => ({
  currency: 'CAD',
  asOf: '2026-10-31',
  source: {
    taxPercent: 13,
    taxOnShipping: false,
    shipping: { kind: 'per-order', amount: 1000, freeFrom: 10_000 },
  },
  items: [{ id, role: 'extra', price, quantity: 1, faultProbability: 0.02, recoveredShare: 0.5 }],
  codes: [],
  rebates: [],
  extras: [],
  hassle: 500,
  ...some,
})
const inPantry = (part: Part, price: number, some: Partial<Order> = {}): BuildWay => {
  const order = orderOf(part.id, price, some)
  const landed = landedCost(order)
  return way(part, landed.payNow.amount, {
    id: `pantry:${part.id}`,
    expected: landed.expected.amount,
    source: 'pantry',
    order,
  })
}

describe('orders of one shop', () => {
  test('together they ship once: dear one by one, cheapest as an order, each bearing its share', async () => {
    // by itself each costs 20.00 × 1.13 + 10.00 = 32.60, more than 30.00; both 55.20, less than 60.00
    const asked = question(sound, { orders: [pantry] })
    const plan = await planBuild({
      ...asked,
      ways: [...asked.ways, inPantry(part('cooler'), 2000), inPantry(part('case'), 2000)],
    })
    expect(plan.orders).toMatchObject([
      {
        name: 'Pantry',
        wayIds: [part('case'), part('cooler')].map(({ id }) => `pantry:${id}`),
        payNow: 5520,
        shipping: 1000,
      },
    ])
    const shares = plan.ways.filter(({ id }) => id.startsWith('pantry:')).map(({ payNow }) => payNow)
    expect(shares).toEqual([2760, 2760])
    expect(plan.payNow).toBe(41_000 - 6000 + 5520)
    // a fault: 2 % of half of 22.60 and the hassle of 5.00, twice
    expect(plan.cost).toBe(41_000 - 6000 + 5520 + Math.round(2 * 0.02 * (1130 + 500)))
  })

  test('an order that reaches free shipping beats what is cheaper one by one', async () => {
    const asked = question(sound, { orders: [pantry] })
    const cpu = inPantry(part('cpu'), 7500)
    const cooler = inPantry(part('cooler'), 2600)
    // 101.00 × 1.13 without shipping is 114.13 for both, against 80.00 + 30.00 elsewhere: not taken
    expect((await planBuild({ ...asked, ways: [...asked.ways, cpu, cooler] })).orders).toEqual([])
    const dear = asked.ways.map((each) =>
      each.partIds[0] === part('cpu').id ? { ...each, payNow: 9000, expected: 9000 } : each,
    )
    const plan = await planBuild({ ...asked, ways: [...dear, cpu, cooler] })
    expect(plan.orders).toMatchObject([{ payNow: 11_413, shipping: 0 }])
  })

  test('a code for the whole order counts once, from its least spend on', async () => {
    const code = {
      id: 'TEN',
      kind: 'percent' as const,
      value: 10,
      scope: {},
      stackable: false,
      minSpend: 4000,
    }
    const asked = question(sound, { orders: [{ ...pantry, code }] })
    const ways = (['cooler', 'case'] as const).map((role) => inPantry(part(role), 2000, { codes: [code] }))
    const plan = await planBuild({ ...asked, ways: [...asked.ways, ...ways] })
    // (40.00 − 4.00) × 1.13 + 10.00
    expect(plan.orders).toMatchObject([{ payNow: 5068, codes: ['TEN'] }])
  })

  test('never above any other set of the same ways, priced by the receipt', async () => {
    const draw = makeChance(2611)
    for (let round = 0; round < 25; round += 1) {
      const priced = sound.map((each) => way(each, draw.whole(1500, 6000)))
      const inShop = (['cooler', 'case', 'memory', 'storage'] as const).map((role) =>
        inPantry(part(role), draw.whole(1000, 5000)),
      )
      const asked = question(sound, { orders: [pantry], ways: [...priced, ...inShop] })
      const plan = await planBuild(asked)
      let least = Infinity
      for (let bits = 0; bits < 16; bits += 1) {
        const from = inShop.filter((_, at) => bits & (1 << at))
        const rest = priced.filter(({ partIds }) => !from.some((each) => each.partIds[0] === partIds[0]))
        const ways = [...rest, ...from].map(({ id }) => id)
        const { cost } = await carriedOutBy(asked)({ ways, sold: [], without: [] })
        least = Math.min(least, cost!)
      }
      expect([plan.status, plan.cost]).toEqual(['optimal', least])
    }
  })

  test('terms the program cannot say are left to each way by itself', async () => {
    expect(orderTerms([orderOf('a', 100), orderOf('b', 200)])).toEqual({ terms: pantry.terms, code: null })
    expect(orderTerms([])).toBeNull()
    const perItem = { ...orderOf('a', 1).source, shipping: { kind: 'per-item' as const, amount: 100 } }
    const free = { ...orderOf('a', 1).source, shipping: { kind: 'none' as const, amount: 0 } }
    expect(orderTerms([orderOf('a', 100, { source: free })])?.terms).toMatchObject({
      shipping: 0,
      freeFrom: null,
    })
    for (const beyond of [
      { source: perItem },
      { source: { ...orderOf('a', 1).source, paymentFeePercent: 3 } },
      { credit: { amount: 100, lowersTax: false } },
      { codes: [{ id: 'X', kind: 'fixed' as const, value: 1, scope: { role: 'cpu' }, stackable: false }] },
      { extras: [{ label: 'a lead', amount: 300 }] },
      { currency: 'EUR' },
    ])
      expect(orderTerms([orderOf('a', 100), orderOf('b', 100, beyond)])).toBeNull()
  })
})

describe('a plan for a build', () => {
  test('one of each role at the least cost, and nothing that stops', async () => {
    const plan = await planBuild(question(sound))
    expect(plan).toMatchObject({ status: 'optimal', cost: 41_000, payNow: 41_000, waitDays: 0 })
    expect(plan.kept).toHaveLength(8)
  })

  test('a cheaper part that stops the machine is not taken, whatever it saves', async () => {
    const wrong = other('cpu', { socket: 'TD-B' }, 'wrong socket')
    const asked = question([...sound, wrong])
    const cheap = {
      ...asked,
      ways: asked.ways.map((each) =>
        each.id === `way:${wrong.id}` ? { ...each, payNow: 1, expected: 1 } : each,
      ),
    }
    expect(names(await planBuild(cheap))).not.toContain('wrong socket')
  })

  test('what only three parts together stop becomes a cut: the machine is sent back', async () => {
    // its rating is enough for the program’s sum, and not after twelve years
    const old = other('supply', { ratedW: 420, year: 1996, twelveVoltW: 400 }, 'old supply')
    const asked = question([...sound, old])
    const cheap = {
      ...asked,
      ways: asked.ways.map((each) =>
        each.id === 'way:old supply' ? { ...each, payNow: 1, expected: 1 } : each,
      ),
    }
    const plan = await planBuild(cheap)
    expect(plan.rounds).toBeGreaterThan(1)
    expect(names(plan)).not.toContain('old supply')
  })

  test('what is not known is asked before it is bought, and never taken for granted', async () => {
    const { year: _, ...facts } = part('supply').facts
    const unknown = sound.map((each) => (each.role === 'supply' ? { ...each, facts } : each))
    expect((await planBuild(question(sound))).unchecked).toEqual([])
    expect((await planBuild(question(unknown))).unchecked).toEqual([
      'Not checked: year of Make the supply not known',
    ])
  })

  test('a CPU that comes with a cooler needs none', async () => {
    const boxed = other('cpu', { coolerIncluded: true }, 'boxed')
    const plan = await planBuild(question([...sound, boxed]))
    // level in price with the other, and a cooler of 30.00 saved
    expect([plan.cost, names(plan).includes('the cooler')]).toEqual([38_000, false])
  })

  test('a lot that holds several is taken where it is cheaper than its things', async () => {
    const asked = question(sound)
    const lot = way(part('cpu'), 10_000, {
      id: 'lot',
      partIds: ['cpu', 'motherboard', 'memory'].map((role) => part(role as Role).id),
    })
    const plan = await planBuild({ ...asked, ways: [...asked.ways, lot] })
    expect(plan.ways.map(({ id }) => id)).toContain('lot')
    expect(plan.cost).toBe(41_000 - 14_000 + 10_000)
  })

  test('wishes: what each costs is the plan with it less the plan without it', async () => {
    const large = other('memory', { capacityGb: 32 }, '32 GB')
    const asked = question([...sound, large], {
      wishes: { floors: [], budget: 60_000, days: null, memoryGb: 32, driveGb: 500, supplyFactor: 1.5 },
    })
    const dear = {
      ...asked,
      ways: asked.ways.map((each) =>
        each.id === 'way:32 GB' ? { ...each, payNow: 7000, expected: 7000 } : each,
      ),
    }
    const plan = await planBuild(dear)
    const costs = Object.fromEntries(
      (await allOf(wishCosts(dear, plan, planBuild))).map(({ name, cost }) => [name, cost]),
    )
    expect(wishNames(dear.wishes)).toEqual(['budget', 'memoryGb', 'driveGb', 'supplyFactor'])
    expect(costs).toEqual({ budget: 0, memoryGb: 4000, driveGb: 0, supplyFactor: 0 })
    expect(without(dear.wishes, 'memoryGb').memoryGb).toBeNull()
  })

  test('nothing meets every wish: those that alone help have a plan without them', async () => {
    const asked = question(sound, {
      wishes: { floors: [], budget: 30_000, days: null, memoryGb: 16, driveGb: null, supplyFactor: null },
    })
    const plan = await planBuild(asked)
    expect(plan.status).toBe('infeasible')
    const found = await allOf(wishCosts(asked, plan, planBuild))
    expect(found.map(({ name, without: next }) => [name, next?.cost ?? null])).toEqual([
      ['budget', 41_000],
      ['memoryGb', null],
    ])
  })

  test('the next best of a line, and nothing where no other way is', async () => {
    const second = other('cooler', {}, 'second cooler')
    const asked = question([...sound, second])
    const plan = await planBuild(asked)
    const taken = plan.ways.find(({ partIds }) => partIds[0]!.includes('cooler'))!
    expect((await nextBest(asked, plan, taken.id, planBuild))!.more).toBe(0)
    expect(await nextBest(asked, plan, `way:${part('case').id}`, planBuild)).toBeNull()
  })

  test('waiting costs less money: the curve never rises with the days', async () => {
    const hunted = question(sound)
    const asked = {
      ...hunted,
      ways: [...hunted.ways, way(part('graphics'), 9000, { id: 'hunt', perDay: 0.1 })],
    }
    const points = await allOf(waitCurve(asked, planBuild))
    const costs = points.map(({ plan }) => plan.cost!)
    expect(costs).toEqual([...costs].sort((a, b) => b - a))
    expect([costs[0], costs.at(-1)]).toEqual([41_000, 37_000])
    // 8 of 10 within T: 1 − e^(−0.1 T) = 0.8 at 16.1 days
    expect(points.find(({ plan }) => plan.cost === 37_000)!.at).toBe(20)
  })

  test('more frames never cost less along the curve', async () => {
    const fast = other('graphics', { graphicsIndex: 160 }, 'fast card')
    const asked = question([...sound, fast], {
      targets: [
        {
          name: 'game',
          workloadId: demoWorkloads[0]!.id,
          settings: { width: 1920, height: 1080, preset: 'high' },
          averageFps: 60,
        },
      ],
    })
    const dear = {
      ...asked,
      ways: asked.ways.map((each) =>
        each.id === 'way:fast card' ? { ...each, payNow: 30_000, expected: 30_000 } : each,
      ),
    }
    const costs = (await allOf(frameCurve(dear, planBuild))).map(({ plan }) => plan.cost!)
    expect(costs.length).toBeGreaterThan(1)
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
  })
})

describe('frames as the bench has them', () => {
  const game = demoWorkloads[0]! as unknown as Workload
  const target = (more: object) => ({
    name: 'game',
    workloadId: game.id,
    settings: { width: 1920, height: 1080, preset: 'high' },
    averageFps: 60,
    ...more,
  })
  const indexed = sound.map((each) => ({
    ...each,
    facts: {
      ...each.facts,
      ...(each.role === 'cpu' ? { cpuIndex: 60 } : each.role === 'graphics' ? { graphicsIndex: 60 } : {}),
    },
  }))
  const fast = other('graphics', { graphicsIndex: 160 }, 'fast card')
  const dear = (parts: readonly Part[], some: Partial<BuildQuestion>) => {
    const asked = question(parts, some)
    const price = (each: BuildWay) =>
      each.id.endsWith('dear') || each.id === 'way:fast card' ? 30_000 : each.payNow
    return {
      ...asked,
      ways: asked.ways.map((each) => ({ ...each, payNow: price(each), expected: price(each) })),
    }
  }

  test('P3: what keeps the average and misses the low is no plan', async () => {
    const rates = ratesOf({ targets: [target({})], workloads: demoWorkloads as never }, indexed)!
    const [fps, low] = [rates.fps[0]!, rates.lows[0]!]
    const wishes = { ...question(sound).wishes, floors: [fps - 1] }
    const of = (lowFps: number | null) =>
      dear([...indexed, fast], { wishes, targets: [target({ averageFps: fps - 1, lowFps })] })
    expect(names(await planBuild(of(null)))).not.toContain('fast card')
    const held = await planBuild(of(low + 1))
    expect(names(held)).toContain('fast card')
    expect(held.lows![0]).toBeGreaterThanOrEqual(low + 1)
  })

  test('N3: memory that slows the machine under its floor gives way to one that does not', async () => {
    const slow = other('memory', { speedMts: 800 }, 'slow memory')
    const quick = other('memory', {}, 'quick memory dear')
    const parts = [...indexed.filter(({ role }) => role !== 'memory'), slow, quick]
    const without = (name: string) => parts.filter((each) => each.name !== name)
    const rates = (of: readonly Part[]) =>
      ratesOf({ targets: [target({})], workloads: demoWorkloads as never }, of)!.fps[0]!
    const [slowly, quickly] = [rates(without('quick memory dear')), rates(without('slow memory'))]
    expect(slowly).toBeLessThan(quickly)
    const floor = (slowly + quickly) / 2
    const wishes = { ...question(sound).wishes, floors: [floor] }
    const plan = await planBuild(dear(parts, { wishes, targets: [target({ averageFps: floor })] }))
    expect([plan.status, names(plan).includes('quick memory dear')]).toEqual(['optimal', true])
    expect(plan.fps![0]).toBeCloseTo(quickly, 9)
    // the fastest knows it as well: what is as fast and cheaper is taken, what is slower is not
    const fastest = await planBuild(dear(parts, { goal: 'fastest', targets: [target({})] }))
    expect(names(fastest)).toContain('quick memory dear')
  })
})

test('over random libraries no plan stops, none is dearer than one thrown together that fits', async () => {
  const chance = makeChance(4242)
  const ofRole = (role: Role) => catalogue.filter((each) => each.role === role)
  let proven = 0
  for (let round = 0; round < 200; round += 1) {
    const parts = coreRoles.flatMap((role) => {
      const all = ofRole(role)
      return [...new Set(Array.from({ length: 3 }, () => chance.pick(all)))]
    })
    const asked = question(parts, {
      ways: parts.map((each) => way(each, 100 * chance.whole(5, 200))),
      wishes: { floors: [], budget: null, days: null, memoryGb: null, driveGb: null, supplyFactor: 1.5 },
    })
    const plan = await planBuild(asked)
    if (plan.status === 'infeasible') continue
    proven += 1
    const kept = plan.kept.map((each) => each.part)
    expect(
      checkFit({ parts: kept, brief: briefDefaults }).findings.filter(({ severity }) => severity === 'stops'),
    ).toEqual([])
    const own = (role: Role) => parts.filter((each) => each.role === role)
    for (let other = 0; other < 60; other += 1) {
      const drawn = coreRoles.map((role) => chance.pick(own(role)))
      const price = drawn.reduce(
        (sum, each) => sum + asked.ways.find(({ partIds }) => partIds[0] === each.id)!.payNow,
        0,
      )
      if (price >= plan.cost!) continue
      const report = checkFit({ parts: drawn, brief: briefDefaults })
      const small = drawn.some(({ facts }) => facts.drive === 'hdd')
      const gaveUp = report.findings.some(
        ({ severity, ruleId }) => severity === 'stops' || ruleId.startsWith('supply-'),
      )
      expect(gaveUp || small).toBe(true)
    }
  }
  expect(proven).toBeGreaterThan(60)
})

describe('an upgrade', () => {
  /** The sound machine stands and is mine; each thing brings half of what it costs elsewhere. */
  const mine = (each: Part): BuildWay =>
    way(each, 0, {
      id: `choice:${each.role}`,
      isPresent: true,
      resale: (priceOf[each.role] ?? 3000) / 2,
    })
  const target = (workloadId: string) => ({
    name: workloadId,
    workloadId,
    settings: { width: 1920, height: 1080, preset: 'high' },
    averageFps: 60,
  })
  const indexed = sound.map((each) => ({
    ...each,
    facts: {
      ...each.facts,
      ...(each.role === 'cpu' ? { cpuIndex: 60 } : each.role === 'graphics' ? { graphicsIndex: 60 } : {}),
    },
  }))
  const standing = (more: readonly BuildWay[], parts: readonly Part[], some: Partial<BuildQuestion> = {}) =>
    question([...indexed, ...parts], {
      ways: [...indexed.map(mine), ...more],
      maySell: 3,
      targets: [target(demoWorkloads[0]!.id)],
      ...some,
    })

  test('unless something may be sold, all that is mine stays and nothing is bought', async () => {
    const asked = standing([], [], { maySell: 0 })
    expect(await planBuild(asked)).toMatchObject({ cost: 0, payNow: 0, outOfPocket: 0, sold: [] })
    expect(pinsOf(asked)).toHaveLength(8)
  })

  test('the forced chain follows by itself: another socket takes board and memory along', async () => {
    const chain = [
      other('cpu', { socket: 'TD-B', cpuIndex: 140 }, 'new cpu'),
      other('motherboard', { socket: 'TD-B', memoryGeneration: 'DDR5' }, 'new board'),
      other('memory', { memoryGeneration: 'DDR5' }, 'new memory'),
    ]
    const asked = standing(
      chain.map((each) => way(each, 5000)),
      chain,
      { goal: 'fastest', maySell: 4 },
    )
    const plan = await planBuild(asked)
    expect(plan.kept.map(({ part: each }) => each.name)).toEqual(
      expect.arrayContaining(['new cpu', 'new board', 'new memory']),
    )
    const gone = plan.sold.map(({ way: each }) => each.id)
    expect(gone).toEqual(expect.arrayContaining(['choice:cpu', 'choice:motherboard', 'choice:memory']))
    // 40.00 for the CPU of old, 15.00 for each other thing
    expect(plan.outOfPocket).toBe(plan.payNow! - plan.sold.reduce((sum, { brings }) => sum + brings, 0))
    expect(plan.cost).toBe(plan.outOfPocket)
    // with one sale at most the chain is too long
    expect((await planBuild({ ...asked, maySell: 1 })).sold.length).toBeLessThanOrEqual(1)
  })

  test('the sum is what is paid less what comes back, and the machine is never slower for it', async () => {
    const card = other('graphics', { graphicsIndex: 120 }, 'new card')
    const asked = (budget: number) =>
      standing([way(card, 20_000)], [card], {
        goal: 'fastest',
        wishes: { ...question(sound).wishes, budget },
      })
    // 200.00 less 65.00 for the old one
    const bought = await planBuild(asked(13_500))
    expect([bought.outOfPocket, names(bought).includes('new card')]).toEqual([13_500, true])
    expect(names(await planBuild(asked(13_499)))).not.toContain('new card')
    expect(bought.fps![0]!).toBeGreaterThan(ratesOf(asked(0), indexed)!.fps[0]!)
  })

  test('what is pinned stays, what is banned goes, and other ways to spend the same leave the dearest out', async () => {
    const card = other('graphics', { graphicsIndex: 120 }, 'new card')
    const cpu = other('cpu', { cpuIndex: 90 }, 'better cpu')
    const asked = standing([way(card, 20_000), way(cpu, 9000)], [card, cpu], { goal: 'fastest' })
    const plan = await planBuild(asked)
    const spends = await allOf(otherSpends(asked, plan, planBuild))
    expect(names(plan)).toEqual(expect.arrayContaining(['better cpu', 'new card']))
    expect(names(spends[0]!)).not.toContain('new card')
    expect(names(spends[0]!)).toContain('better cpu')
    expect(spends[1]!.payNow).toBe(0)
    const kept = await planBuild({ ...asked, pins: ['choice:graphics'] })
    expect(kept.sold.map(({ way: each }) => each.id)).toEqual(['choice:cpu'])
    const forced = await planBuild({ ...asked, goal: 'cheapest', bans: ['choice:cpu'] })
    expect(forced.sold.map(({ way: each }) => each.id)).toContain('choice:cpu')
  })
})
