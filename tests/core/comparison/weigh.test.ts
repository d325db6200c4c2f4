import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ageDecline } from '#core/comparison/adjustments/ageDecline'
import { arrivalShare } from '#core/comparison/adjustments/arrivalShare'
import { keptValue, usedWorth } from '#core/comparison/adjustments/keptValue'
import { faultDefaults } from '#core/supply/risk/faultRisk'
import type { Part } from '#core/parts/part'
import { compareComponents, lacksBeside } from '#core/comparison/components/compareComponents'
import type { Lack } from '#core/machine/upgrades/drawLevel'
import { compareRates } from '#core/comparison/components/compareRates'
import {
  equivalentOf,
  highestHeld,
  holdMode,
  presetBracket,
  type Equivalent,
} from '#core/comparison/components/consoleModes'
import { gapByStep, likeForLike } from '#core/comparison/adjustments/likeForLike'
import type { WeighedMachine } from '#core/comparison/weighedMachine'
import { playStyles, type PlayStyle } from '#core/comparison/verdict/playStyles'
import { likeForLikeSteps } from '#core/comparison/adjustments/adjustments'
import { tippingPoint } from '#core/comparison/tipping/tipping'
import { weigh, withoutUnknown } from '#core/comparison/weigh'
import { component, machine, rate, terms, workload } from './machines'

const styles = Object.keys(playStyles) as PlayStyle[]
const weighed = (own: WeighedMachine, other: WeighedMachine, style: PlayStyle = 'all-round', by = terms()) =>
  weigh(own, other, {
    terms: by,
    style,
    workloads: [workload],
    ownFrames: null,
    equivalents: [],
    formatMoney: String,
  })
const anyMachine = (id: string) =>
  fc
    .record({
      price: fc.integer({ min: 0, max: 200_000 }),
      taxPercent: fc.integer({ min: 0, max: 25 }),
      shipping: fc.option(fc.integer({ min: 0, max: 5000 })),
      brings: fc.subarray(['licence', 'controller'] as const),
      subscriptionPerYear: fc.integer({ min: 0, max: 9000 }),
      gameSurcharge: fc.integer({ min: -500, max: 2000 }),
      hours: fc.integer({ min: 0, max: 20 }),
      warrantyMonths: fc.integer({ min: 0, max: 60 }),
      resaleToday: fc.integer({ min: 0, max: 90_000 }),
      fps: fc.integer({ min: 10, max: 240 }),
      full: fc.integer({ min: 40, max: 500 }),
    })
    .map(({ fps, full, ...rest }) =>
      machine({
        id,
        name: id,
        ...rest,
        rates: [rate('a', fps, '1920x1080 high', fps * 0.7)],
        watts: { full, idle: 40, kind: 'estimate' },
        targets: [{ name: 't', verdict: fps >= 60 ? 'met' : 'missed' }],
      }),
    )
const by = terms({ needPrices: { licence: 2400, controller: 3900 }, perHour: 500, idleHours: 1 })

describe('likeForLike', () => {
  test('the steps add up; the gap by step adds up to the gap', () => {
    fc.assert(
      fc.property(anyMachine('own'), anyMachine('other'), (own, other) => {
        const [a, b] = [likeForLike(own, by), likeForLike(other, by)]
        expect(a.steps.reduce((sum, step) => sum + step.amount, 0)).toBe(a.total)
        expect(gapByStep(a, b).at(-1)!.soFar).toBe(b.total - a.total)
      }),
    )
  })
  test('a step switched off counts nothing, and on again gives the same figure', () => {
    fc.assert(
      fc.property(anyMachine('own'), fc.subarray(likeForLikeSteps.map((rule) => rule.id)), (own, off) => {
        const whole = likeForLike(own, by)
        const without = likeForLike(own, { ...by, off })
        expect(without.total).toBe(
          whole.total -
            whole.steps.filter((step) => off.includes(step.id)).reduce((sum, step) => sum + step.amount, 0),
        )
        expect(without.steps.filter((step) => step.isOff).every((step) => step.amount === 0)).toBe(true)
        expect(likeForLike(own, { ...by, off: [] })).toEqual(whole)
      }),
    )
  })
  test('the builder’s own figure stands, says so, and keeps what was calculated; also where nothing was', () => {
    const own = likeForLike(machine(), terms({ edits: { own: { price: 55_000, energy: 4000 } } }))
    expect(own.total).toBe(59_000)
    expect(own.steps).toMatchObject([
      { id: 'price', amount: 55_000, from: 'own', calculated: 60_000 },
      { id: 'energy', amount: 4000, calculated: 0, why: 'your figure' },
    ])
    expect(likeForLike(machine({ id: 'other' }), terms({ edits: { own: { price: 1 } } })).total).toBe(60_000)
  })
})

describe('the verdict', () => {
  test.each(styles)('%s: swapping the machines swaps the winner', (style) => {
    fc.assert(
      fc.property(anyMachine('own'), anyMachine('other'), (own, other) => {
        expect(weighed(other, own, style, by).verdict.winner).toBe(
          { own: 'other', other: 'own', depends: 'depends' }[weighed(own, other, style, by).verdict.winner],
        )
      }),
    )
  })
  test.each(styles)('%s: a rival that is better in everything and cheaper always wins', (style) => {
    fc.assert(
      fc.property(
        anyMachine('own'),
        fc.integer({ min: 1, max: 50_000 }),
        fc.integer({ min: 4, max: 100 }),
        (own, cheaper, faster) => {
          const better = {
            ...own,
            id: 'other',
            name: 'other',
            price: own.price - cheaper,
            rates: own.rates.map((each) => ({
              ...each,
              averageFps: each.averageFps * (1 + faster / 100),
              lowFps: each.lowFps! * (1 + faster / 100),
            })),
            watts: { ...own.watts!, full: own.watts!.full * 0.8 },
            targets: [{ name: 't', verdict: 'met' as const }],
          }
          expect(weighed(own, better, style, by).verdict.winner).toBe('other')
        },
      ),
    )
  })
  test('reads well, with what weighs most on each side and what is not known', () => {
    const drawn = { watts: { full: 40, idle: 0, kind: 'stated' as const } }
    const own = machine({ ...drawn, name: 'Couch corner', price: 60_000, rates: [rate('a', 72)], hours: 4 })
    const other = machine({
      ...drawn,
      id: 'b',
      name: 'Brindlewick',
      kind: 'prebuilt',
      price: 80_000,
      taxPercent: 10,
      rates: [rate('a', 60)],
      notStated: ['memory speed'],
    })
    const { verdict } = weighed(own, other, 'all-round', terms({ perHour: 1000 }))
    expect(verdict.sentence).toBe(
      'Build it: over 3 years, all costs counted, Couch corner costs 24000 less than ' +
        'Brindlewick and is 20 % faster in 1 workload at the same settings.',
    )
    expect(verdict.forOwn.map((reason) => reason.words)).toEqual([
      'cost until ready to use: 28000 more for Brindlewick',
      'speed',
    ])
    expect(verdict.forOther.map((reason) => reason.words)).toEqual(['your hours: 4000 more for Couch corner'])
    expect(verdict.second).toBe('Against it: your hours, 4000 more.')
    expect(verdict.unknown).toBe('memory speed: not stated by the seller')
  })
  test('the way of playing decides what counts as faster', () => {
    const own = machine({
      price: 50_000,
      rates: [rate('a', 100, '1920x1080 high', 50)],
      targets: [{ name: 't', verdict: 'met' }],
    })
    const other = machine({
      id: 'b',
      name: 'B',
      price: 60_000,
      rates: [rate('a', 90, '1920x1080 high', 70)],
      targets: [{ name: 't', verdict: 'met' }],
    })
    expect(weighed(own, other, 'all-round').verdict.winner).toBe('own')
    expect(weighed(own, other, 'competitive').verdict.winner).toBe('depends') // cheaper, but its lows are slower
    expect(weighed(own, other, 'couch').verdict.sentence).toContain('reaches the target too')
    expect(
      weighed(
        { ...own, watts: { full: 300, idle: 50, kind: 'measured' } },
        { ...other, price: 50_000, watts: { full: 180, idle: 40, kind: 'stated' } },
        'quiet',
        terms({ tariff: 0 }),
      ).verdict,
    ).toMatchObject({ winner: 'other', sentence: expect.stringContaining('180 W against 300 W') })
  })
  test('without anything to hold against each other only cost is spoken of', () => {
    expect(weighed(machine(), machine({ id: 'b', name: 'B', price: 90_000 })).verdict).toMatchObject({
      winner: 'depends',
      sentence:
        'No verdict yet: over 3 years, all costs counted, Own costs 30000 less than B, but ' +
        'no workload can be compared at the same settings.',
    })
  })
})

describe('what must hold for every pair', () => {
  test('the same thing added to both changes the totals alike, and not the winner', () => {
    fc.assert(
      fc.property(
        anyMachine('own'),
        anyMachine('other'),
        fc.record({
          street: fc.integer({ min: 0, max: 40_000 }),
          price: fc.integer({ min: 0, max: 40_000 }),
          warrantyMonths: fc.constantFrom(0, 12, 36),
        }),
        (a, b, { street, price, warrantyMonths }) => {
          // both of known parts, so that a part can be added
          const known = component({ worthToday: 5000, street: 8000, warrantyMonths: 36 })
          const [own, other] = [
            { ...a, components: [known] },
            { ...b, components: [known] },
          ]
          const more = component({ label: 'more', street, warrantyMonths })
          const withMore = (each: typeof a) => ({
            ...each,
            price: each.price + price,
            // tax goes with the price, and is no part of the thing
            taxPercent: 0,
            components: [known, more],
          })
          const plain = (each: typeof a) => ({ ...each, taxPercent: 0 })
          const before = weighed(plain(own!), plain(other!), 'all-round', by)
          const after = weighed(withMore(own!), withMore(other!), 'all-round', by)
          const gap = before.other.total - before.own.total
          // each side rounds its sums for itself
          expect(Math.abs(after.other.total - after.own.total - gap)).toBeLessThanOrEqual(2)
          if (Math.abs(gap) > 2) expect(after.verdict.winner).toBe(before.verdict.winner)
        },
      ),
    )
  })
  test('the order in which rivals stand is indifferent', () => {
    const unknown = (name: string) => machine({ id: name, name, resaleToday: null, rates: [rate('a', 60)] })
    const rivals = [
      unknown('Ash'),
      unknown('Birch'),
      machine({ id: 'c', name: 'Cedar', rates: [rate('a', 70)] }),
    ]
    const own = machine({ rates: [rate('a', 65)] })
    const verdictsIn = (order: readonly number[]) => {
      const list = order.map((at) => rivals[at]!)
      const shared = withoutUnknown([own, ...list], by)
      return new Map(list.map((each) => [each.id, weighed(own, each, 'all-round', shared).verdict]))
    }
    const first = verdictsIn([0, 1, 2])
    for (const order of [
      [2, 1, 0],
      [1, 0, 2],
      [2, 0, 1],
    ])
      expect(Object.fromEntries(verdictsIn(order))).toEqual(Object.fromEntries(first))
    expect(first.get('c')!.unknown).toContain('resale price of Ash and Birch')
  })
})

describe('what is not known', () => {
  const draws = (full: number) => ({ watts: { full, idle: 0, kind: 'estimate' as const } })
  const used = terms({ years: 3, fullHours: 3, tariff: 30 })
  test('U1: what one machine draws is not known: energy counts on neither, and it is said', () => {
    const own = machine({ ...draws(300), rates: [rate('a', 60)] })
    const other = machine({ id: 'x', name: 'Silent', rates: [rate('a', 60)] })
    const both = weighed(own, other, 'all-round', used)
    expect(both.own.total).toBe(both.other.total)
    expect(both.verdict.unknown).toContain('power draw of Silent, so energy is not counted on either side')
    // where both are known it counts: 300 W × 3 h × 365 × 3 years × 0.30
    const known = weighed(own, { ...other, ...draws(0) }, 'all-round', used)
    expect(known.own.total - known.other.total).toBe(29_565)
    // a figure of the builder's own is known
    const edited = weighed(own, other, 'all-round', { ...used, edits: { x: { energy: 5_000 } } })
    expect(edited.own.total - edited.other.total).toBe(24_565)
  })
  test('U4: of a machine with empty roles, or one that cannot work, the sentence begins with that', () => {
    const other = machine({ id: 'x', name: 'Boxed', price: 90_000, rates: [rate('a', 50)] })
    const { verdict } = weighed(machine({ notYet: 'has no CPU', rates: [rate('a', 60)] }), other)
    expect(verdict.sentence).toMatch(
      /^Own has no CPU, so there is no verdict yet: .*30000 less than Boxed as it stands and is 20 % faster/,
    )
  })
  test('U4: little less is too close to call where what is not stated may be worth more', () => {
    const board = (state: 'missing' | 'stated') => component({ role: 'motherboard', street: 4_000, state })
    const own = machine({ price: 59_000, rates: [rate('a', 60)], components: [board('stated')] })
    const other = (state: 'missing' | 'stated') =>
      machine({ id: 'x', name: 'Boxed', rates: [rate('a', 60)], components: [board(state)] })
    expect(weighed(own, other('stated')).verdict.winner).toBe('own')
    expect(weighed(own, other('missing')).verdict.sentence).toMatch(/^Too close to call/)
  })
})

describe('compareRates', () => {
  test('the means are geometric and leave out what is not like for like', () => {
    const comparison = compareRates(
      machine({ rates: [rate('a', 80), rate('b', 50), rate('c', 60), rate('d', 60)] }),
      machine({ id: 'x', rates: [rate('a', 40), rate('b', 100), rate('c', 30, null)] }),
    )
    expect(comparison.meanRatio).toBeCloseTo(1, 12) // √(2 · 0.5)
    expect(comparison.pairs.map((pair) => pair.likeForLike)).toEqual([true, true, false])
    expect(comparison.missing).toEqual(['d'])
  })
  test('unknown settings on both sides are not the same settings', () => {
    expect(
      compareRates(machine({ rates: [rate('a', 60, null)] }), machine({ rates: [rate('a', 60, null)] }))
        .meanRatio,
    ).toBeNull()
  })
  test('targets count only where both sides have a rate; narrow counts half', () => {
    const of = (...verdicts: ('met' | 'narrow' | 'missed' | null)[]) =>
      machine({ targets: verdicts.map((verdict, index) => ({ name: `t${index}`, verdict })) })
    expect(compareRates(of('met', 'narrow', 'met'), of('met', 'missed', null)).targets).toEqual({
      own: { met: 1, narrow: 1 },
      other: { met: 1, narrow: 0 },
      of: 2,
    })
  })
})

describe('fixed modes', () => {
  // one megapixel: g = 5 ms · preset, c = 5 ms at index 100
  const frames = { cpuIndex: 100, threads: 8, graphicsIndex: 100, videoMemoryGb: 8, memoryChannels: 2 }
  const mode = { workloadId: 'a', width: 2000, height: 1000, fps: 60, lowFps: null }
  const proposal = (graphicsIndex: number): Equivalent => ({
    by: 'x',
    saidOn: '2026-01-01',
    cpuIndex: 100,
    threads: 8,
    graphicsIndex,
    videoMemoryGb: 8,
  })
  test('the heaviest preset that holds resolution and rate, by hand', () => {
    // two megapixels: ultra g = 14 ms, c = 5: t = 14.02 ms, 71.3 fps, held; at index 80 17.5 ms, 57 fps: high, 12.5 ms
    expect(highestHeld(workload, frames, mode)).toMatchObject({
      preset: 'ultra',
      fps: expect.closeTo(71.3, 1),
    })
    expect(highestHeld(workload, { ...frames, graphicsIndex: 80 }, mode)!.preset).toBe('high')
    expect(highestHeld(workload, { ...frames, graphicsIndex: 10 }, mode)).toBeNull()
    expect(highestHeld(workload, frames, { ...mode, lowFps: 58 })!.preset).toBe('high') // 71.3 · 0.8 = 57 at ultra
  })
  test('the bracket spans what people propose, and says how sure that is', () => {
    expect(presetBracket(workload, mode, [])).toBeNull()
    expect(presetBracket(workload, mode, [proposal(80)])).toEqual({
      from: 'high',
      to: 'high',
      sure: 'hardly',
    })
    expect(presetBracket(workload, mode, [proposal(80), proposal(100)])).toEqual({
      from: 'high',
      to: 'ultra',
      sure: 'fairly',
    })
    expect(presetBracket(workload, mode, [proposal(70), proposal(78), proposal(80)])).toEqual({
      from: 'high',
      to: 'high',
      sure: 'well',
    })
    expect(presetBracket(workload, mode, [proposal(40), proposal(78), proposal(110)])!.sure).toBe('hardly')
  })
  test('better, level and worse; modes count in the verdict and in no mean', () => {
    expect(holdMode(workload, frames, mode, [proposal(60)]).standing).toBe('better')
    expect(holdMode(workload, { ...frames, graphicsIndex: 80 }, mode, [proposal(75)]).standing).toBe('level')
    expect(holdMode(workload, { ...frames, graphicsIndex: 10 }, mode, []).standing).toBe('worse')
    const console = machine({
      id: 'c',
      name: 'Console',
      kind: 'console',
      price: 70_000,
      modes: [mode],
      rates: [rate('a', 60, null)],
    })
    const { comparison, verdict } = weigh(machine({ rates: [rate('a', 70)] }), console, {
      terms: terms(),
      style: 'couch',
      workloads: [workload],
      ownFrames: frames,
      equivalents: [proposal(60)],
      formatMoney: String,
    })
    expect(comparison).toMatchObject({ meanRatio: null, modes: [{ standing: 'better', heldAt: 'ultra' }] })
    expect(verdict).toMatchObject({
      winner: 'own',
      sentence: expect.stringContaining('matches its one fixed mode, 1 at higher settings'),
    })
  })
  test('a console’s insides: the median of what is proposed, with its range', () => {
    expect(equivalentOf([proposal(90), proposal(104), proposal(96)])).toMatchObject({
      machine: { graphicsIndex: 96 },
      range: { low: 90, high: 104 },
      proposals: 3,
    })
    expect(equivalentOf([])).toBeNull()
  })
})

describe('components', () => {
  const side = (graphicsIndex: number, extra: Partial<Parameters<typeof component>[0]> = {}) =>
    machine({
      components: [
        component({ facts: { graphicsIndex }, ...extra }),
        component({ role: 'memory', facts: { capacityGb: 16, kitCount: 2 } }),
      ],
    })
  test('better, level, worse and not stated, with the figure that decides', () => {
    const lines = (own: WeighedMachine, other: WeighedMachine) =>
      compareComponents(own, other).map((line) => [line.role, line.standing, line.figure])
    expect(lines(side(111), side(100))).toEqual([
      ['graphics', 'better', '+11 %'],
      ['memory', 'level', ''],
    ])
    expect(lines(side(100), side(101))[0]).toEqual(['graphics', 'level', ''])
    expect(lines(side(80), side(100))[0]).toEqual(['graphics', 'worse', '−20 %'])
    expect(lines(side(80), side(100, { state: 'missing', label: 'Tarn 420' }))[0]).toEqual([
      'graphics',
      'not stated',
      'counted as Tarn 420',
    ])
    expect(compareComponents(machine(), side(100))).toEqual([])
  })
  test('two kits of memory count together', () => {
    const two = machine({
      components: [
        component({ role: 'memory', facts: { capacityGb: 8, kitCount: 1 } }),
        component({ role: 'memory', facts: { capacityGb: 8, kitCount: 1 } }),
      ],
    })
    expect(compareComponents(two, side(1)).find((line) => line.role === 'memory')!.standing).toBe('level')
  })
  test('P14: a hard disk does not draw level with an NVMe drive; memory whose speed is not stated is not worse', () => {
    const drive = (drive: 'hdd' | 'ssd', plug: string, capacityGb: number) => ({
      drive,
      interface: plug,
      capacityGb,
    })
    const holding = (facts: object) => machine({ components: [component({ role: 'storage', facts })] })
    const [sata, nvme] = [holding(drive('ssd', 'sata', 1000)), holding(drive('ssd', 'nvme', 1000))]
    expect(compareComponents(sata, nvme)[0]).toMatchObject({
      standing: 'worse',
      figure: 'SATA vs NVMe kind of drive',
    })
    const [{ isNoWorse }] = lacksBeside(sata, nvme) as [Lack]
    const part = (facts: object): Part => ({ id: 'drive', role: 'storage', make: '', name: 'drive', facts })
    expect(isNoWorse(part(drive('hdd', 'sata', 2000)))).toBe(false)
    expect(isNoWorse(part(drive('ssd', 'nvme', 1000)))).toBe(true)
    const memory = (speedMts: number, more: object = {}) =>
      machine({
        components: [
          component({ role: 'memory', facts: { capacityGb: 16, kitCount: 2, speedMts }, ...more }),
        ],
      })
    expect(compareComponents(memory(3200), memory(2133, { assumed: ['speedMts'] }))[0]).toMatchObject({
      standing: 'not stated',
      figure: 'MT/s not stated',
    })
  })
  test('what a machine lacks: the roles in which it is worse, and what would do there', () => {
    const card = (graphicsIndex: number): Part => ({
      id: String(graphicsIndex),
      role: 'graphics',
      make: '',
      name: String(graphicsIndex),
      facts: { graphicsIndex },
    })
    const [lack] = lacksBeside(side(80), side(100))
    expect(lack!.role).toBe('graphics')
    expect([90, 100, 120].map((index) => lack!.isNoWorse(card(index)))).toEqual([false, true, true])
    expect(lacksBeside(side(100), side(80))).toEqual([])
  })
})

describe('ageDecline', () => {
  test('finds the share that parts keep a year, whatever they are worth', () => {
    const parts = Array.from({ length: 12 }, (_, index) => ({
      role: 'graphics',
      ageYears: index % 5,
      worth: 50 + 10 * index,
      street: (50 + 10 * index) ** 1.2 * 0.83 ** (index % 5) * 100,
    }))
    const alone = parts.map((part) => ({ ...part, street: 0.83 ** part.ageYears * 10_000, worth: null }))
    for (const list of [alone, parts])
      expect(ageDecline(list).graphics).toEqual({ kept: expect.closeTo(0.83, 6), error: 0.02 })
  })
  test('scatter makes an error; too few parts or ages say nothing', () => {
    const scattered = Array.from({ length: 8 }, (_, index) => ({
      role: 'cpu',
      ageYears: index % 4,
      worth: null,
      street: 0.8 ** (index % 4) * 10_000 * (index < 4 ? 1.2 : 1 / 1.2),
    }))
    // residuals ±ln 1.2 about the line, six degrees of freedom, Σ(age − mean)² = 10: √(8 · 0.0332 / 6 / 10)
    expect(ageDecline(scattered).cpu!.error).toBeCloseTo(Math.sqrt((8 * Math.log(1.2) ** 2) / 6 / 10), 9)
    expect(ageDecline([{ role: 'cpu', ageYears: 1, worth: 100, street: 100 }])).toEqual({})
  })
})

describe('keptValue', () => {
  test('records and default by their weights, with a range; without records the default alone', () => {
    const { kept, low, high } = keptValue({ graphics: { kept: 0.7, error: 0.1 } })
    expect(kept.graphics).toBeCloseTo(Math.sqrt(0.7 * 0.78), 9)
    expect(low.graphics! / kept.graphics!).toBeCloseTo(Math.exp(-1.645 * 0.1 * Math.SQRT1_2), 9)
    expect([kept.cpu, kept.hdd, kept.console, kept.whole]).toEqual(
      [0.8, 0.85, 0.85, 0.78].map((each) => expect.closeTo(each, 9)),
    )
    // a well known slope outweighs the default; what is not believed is held
    expect(keptValue({ cpu: { kept: 0.6, error: 0.02 } }).kept.cpu).toBeCloseTo(0.607, 3)
    expect([high.console, keptValue({ cpu: { kept: 1.2, error: 0.02 } }).kept.cpu]).toEqual([0.97, 0.97])
  })
})

test('used worth: the street price, else three quarters of new, else not known', () => {
  expect([usedWorth(8000, 20_000), usedWorth(null, 10_000), usedWorth(null, null)]).toEqual([
    8000,
    7500,
    null,
  ])
})

test('dead on arrival: nobody makes good a used tower, a new one is, what stands at home has arrived', () => {
  const share = (kind: WeighedMachine['kind']) => arrivalShare(kind, faultDefaults)
  expect([share('offered'), share('own'), share('build')]).toEqual([0.08, 0, 0])
  expect(share('prebuilt')).toBeCloseTo(0.08 * 0.2 * 0.05, 12)
})

describe('value left that nobody knows', () => {
  const known = machine({ components: [component({ warrantyMonths: 36 })] })
  const unknown = machine({
    id: 'other',
    name: 'other',
    price: 61_000,
    components: [component({ label: 'box', worthToday: null, warrantyMonths: 36 })],
  })
  const weighed = (change = {}) =>
    weigh(known, unknown, {
      terms: terms(change),
      style: 'all-round',
      workloads: [workload],
      ownFrames: null,
      equivalents: [],
      formatMoney: String,
    })
  const left = (cost: { steps: readonly { id: string; amount: number }[] }) =>
    cost.steps.find(({ id }) => id === 'value-left')?.amount ?? 0
  test('is off on both sides, and said so; assumed, it counts on both and says that it is assumed', () => {
    const without = weighed()
    expect([left(without.own), left(without.other)]).toEqual([0, 0])
    expect(without.verdict.unknown).toContain(
      'resale price of box, so resale value is not counted on either side',
    )
    expect(without.verdict.sentence).toContain('all costs counted')
    const assumed = weighed({ assumedWorth: 0.5 })
    expect([left(assumed.own), left(assumed.other)]).toEqual([-4608, -2304])
    expect(assumed.other.steps.find(({ id }) => id === 'value-left')).toMatchObject({
      from: 'assumption',
      why: expect.stringContaining('resale of box assumed, not known'),
    })
  })
  test('a verdict that turns within the range of what is left is too close to call', () => {
    // 600.00 − 46.08 left against 555.00 without anything: 1.08 apart; at 0.7 a year only 30.87 are left
    const cheap = machine({ id: 'b', name: 'Birch', price: 55_500, rates: [rate('a', 60)] })
    const ash = { ...known, name: 'Ash', rates: [rate('a', 60)] }
    const at = (low: number) =>
      weigh(ash, cheap, {
        terms: terms({ keepsRange: { low: { whole: low }, high: { whole: 0.85 } } }),
        style: 'all-round',
        workloads: [workload],
        ownFrames: null,
        equivalents: [],
        formatMoney: (amount) => (amount / 100).toFixed(2),
      }).verdict
    expect(at(0.8)).toMatchObject({ winner: 'own' })
    expect(at(0.7).winner).toBe('depends')
    expect(at(0.7).sentence).toBe(
      'Too close to call: over 3 years, all costs counted, Ash costs 1.08 less than Birch ' +
        'and is equally fast in 1 workload at the same settings.',
    )
  })
})

describe('tippingPoint', () => {
  test('the nearest turn on each side, none where there is none', () => {
    const winner = (value: number) => (value < 10 ? 'other' : value < 40 ? 'own' : 'depends')
    const figure = { now: 25, range: { from: 0, to: 100 }, unit: 1 }
    expect(tippingPoint(winner, figure)).toEqual({
      below: { winner: 'other', value: 9, next: null },
      above: { winner: 'depends', value: 40, next: null },
    })
    // P13: what it turns to holds for ten cents only, then the other side wins: both borders
    const band = (value: number) => (value < 10_365 ? 'own' : value < 10_375 ? 'depends' : 'other')
    const wide = { now: 2000, range: { from: 0, to: 200_000 }, unit: 1 }
    expect(tippingPoint(band, wide).above).toEqual({
      value: 10_365,
      winner: 'depends',
      next: { value: 10_375, winner: 'other' },
    })
    // in tenths, without their remainders
    expect(tippingPoint(winner, { ...figure, unit: 0.1 }).below).toMatchObject({
      winner: 'other',
      value: 9.9,
    })
    // the next unit is the turn already
    expect(tippingPoint((value) => (value > 25 ? 'other' : 'own'), figure).above!.value).toBe(26)
    // today lies between two units, and at the edge of what is followed
    expect(tippingPoint(winner, { ...figure, now: 9.5 }).above).toMatchObject({ winner: 'own', value: 10 })
    expect(tippingPoint(() => 'own', { now: 0, range: { from: 0, to: 10 }, unit: 1 })).toEqual({
      below: null,
      above: null,
    })
  })
})
