import { describe, expect, test } from 'vitest'
import { defaultsOf, celsius, share } from '#core/assumptions/assumption'
import { leastOfPart } from '#core/comparison/adjustments/leastOfPart'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import { faultCostOf } from '#core/comparison/adjustments/rules/faults'
import { valueLeftOf } from '#core/comparison/adjustments/rules/valueLeft'
import { compareRates } from '#core/comparison/components/compareRates'
import { presetsByWeight } from '#core/comparison/components/consoleModes'
import { withAssumedCard } from '#core/comparison/tipping/assumedCard'
import { playStyles, type PlayStyle } from '#core/comparison/verdict/playStyles'
import { bestEfficiency } from '#core/machine/power/wallDraw'
import { weighingVerdict, type VerdictFigures } from '#core/comparison/verdict/verdict'
import { factsOfRole, factText } from '#core/parts/facts'
import { indexOfPart, indexUnit, rankedRoles } from '#core/parts/indexOfPart'
import type { Part } from '#core/parts/part'
import { cardLoad } from '#core/performance/fitting/limitEvidence'
import { fitLows } from '#core/performance/fitting/fitLows'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { findDuplicates } from '#core/pricing/sieve/findDuplicates'
import { priceTrend, trendOfColumns } from '#core/pricing/trend/trend'
import { countsAgainst } from '#core/reading/listings/completeness'
import { component, machine, rate, terms, workload } from './machines'

/** The pieces that the weighing is made of, each with its case by hand. */
describe('one part on the scales', () => {
  test('expected repairs: probability × replacement × years that no warranty covers', () => {
    // a card fails with 3 % a year, new and used alike: 100.00 · 0.03 · (3 − 1) = 6.00; of ten years twice that
    for (const condition of ['new', 'used'] as const)
      expect(faultCostOf(component({ warrantyMonths: 12, condition }), terms())).toBeCloseTo(600, 6)
    const old = component({ warrantyMonths: 12, facts: { year: 2016 } })
    expect(faultCostOf(old, terms())).toBeCloseTo(1200, 6)
    expect(faultCostOf(component({ warrantyMonths: 48 }), terms())).toBe(0)
  })
  test('value left: whole-machine factor × street × what its kind keeps, to the years', () => {
    // 0.9 · 100.00 · 0.8³ = 46.08; a kind of its own keeps 0.5: 0.9 · 100.00 · 0.125 = 11.25
    expect(valueLeftOf(component(), terms())).toBeCloseTo(4608, 6)
    expect(valueLeftOf(component(), terms({ keeps: { whole: 0.8, graphics: 0.5 } }))).toBeCloseTo(1125, 6)
    expect(valueLeftOf(component({ counted: false }), terms())).toBe(0)
  })
  test('the least a part adds never exceeds what it adds to a machine', () => {
    const part: Part = { id: 'card', role: 'graphics', make: 'M', name: 'T', facts: { boardPowerW: 120 } }
    for (const off of [[], ['energy'], ['faults', 'value-left'], ['price']]) {
      const by = terms({ off })
      const least = leastOfPart(part, component(), 10_000, by)
      const alone = machine({
        price: 10_000,
        components: [component()],
        watts: { full: 120 / bestEfficiency, idle: 20, kind: 'estimate' },
      })
      expect(least).toBeLessThanOrEqual(likeForLike(alone, by).total)
    }
  })
  test('an assumed card: price, frames, draw and components follow it', () => {
    const frames = {
      cpuIndex: 100,
      threads: 12,
      graphicsIndex: 100,
      videoMemoryGb: 8,
      memoryChannels: 2 as const,
    }
    const own = machine({
      components: [component({ facts: { boardPowerW: 150 } }), component({ role: 'cpu', label: 'cpu' })],
      watts: { full: 300, idle: 60, kind: 'measured' },
    })
    const card = { name: 'Tarn 700', price: 30_000, graphicsIndex: 150, videoMemoryGb: 12, boardPowerW: 180 }
    const settings = { width: 1920, height: 1080, preset: 'high' }
    const target = { name: 'a', workload, settings, averageFps: 60, lowFps: null }
    const { machine: after, frames: faster } = withAssumedCard(own, frames, card, 12_000, [target as never])
    expect(after.price).toBe(60_000 - 12_000 + 30_000)
    expect(after.watts).toEqual({ full: 330, idle: 60, kind: 'estimate' })
    expect(after.components.map((each) => each.label)).toEqual(['cpu', 'Tarn 700'])
    expect(after.rates[0]!.averageFps).toBeCloseTo(
      estimateFrameRate(workload, faster, settings).averageFps,
      9,
    )
  })
  test('presets stand from light to heavy, however the library lists them', () => {
    const turned = { ...workload, presets: Object.fromEntries(Object.entries(workload.presets).reverse()) }
    expect(presetsByWeight(turned)).toEqual(['low', 'medium', 'high', 'ultra'])
  })
})

type Rates = ReturnType<typeof rate>[]
const rated = (own: Rates, other: Rates) => compareRates(machine({ rates: own }), machine({ rates: other }))

describe('the verdict in words', () => {
  const figures = (change: Partial<VerdictFigures> = {}, own = 60_000, other = 80_000): VerdictFigures => ({
    ownName: 'Couch',
    otherName: 'Brindlewick',
    isOtherMine: false,
    years: 3,
    own: likeForLike(machine({ price: own }), terms()),
    other: likeForLike(machine({ id: 'other', name: 'Brindlewick', price: other }), terms()),
    comparison: rated([rate('a', 90)], [rate('a', 60)]),
    style: Object.keys(playStyles)[0] as PlayStyle,
    isTooClose: false,
    worthUnknown: [],
    energyUnknown: [],
    ownNotYet: null,
    otherNotYet: null,
    ownHeat: null,
    otherHeat: null,
    ownWatts: null,
    otherWatts: null,
    notStated: [],
    formatMoney: (amount) => (amount / 100).toFixed(2),
    ...change,
  })
  test('cheaper and faster wins; swapped, the other wins', () => {
    const verdict = weighingVerdict(figures())
    expect(verdict.winner).toBe('own')
    expect(verdict.sentence).toMatch(
      /^Build it: over 3 years, all costs counted, Couch costs 200\.00 less than Brindlewick/,
    )
    const swapped = weighingVerdict(
      figures({ comparison: rated([rate('a', 60)], [rate('a', 90)]) }, 80_000, 60_000),
    )
    expect(swapped.winner).toBe('other')
  })
  test('without anything to compare speed by nobody wins, and it is said what is not known', () => {
    const verdict = weighingVerdict(figures({ comparison: rated([], []), notStated: ['memory', 'drive'] }))
    expect(verdict.winner).toBe('depends')
    expect(verdict.unknown).toContain('memory, drive: not stated by the seller')
  })
  test('what weighs most stands first, on the side it speaks for', () => {
    const verdict = weighingVerdict(figures())
    // half as fast again weighs more than a quarter of the money
    expect(verdict.forOwn.map(({ words }) => words)).toEqual([
      'speed',
      'cost until ready to use: 200.00 more for Brindlewick',
    ])
    expect(verdict.forOther).toEqual([])
    const weights = verdict.forOwn.map(({ weight }) => weight)
    expect(weights).toEqual([...weights].sort((a, b) => b - a))
  })
})

describe('facts and what parts are ranked by', () => {
  test('facts of a role; a fact in words with its unit, not known where it is missing', () => {
    expect(factsOfRole('graphics')).toContain('vramGb')
    expect(factsOfRole('case')).not.toContain('vramGb')
    for (const role of ['cpu', 'case', 'extra'] as const) expect(factsOfRole(role)).toContain('colour')
    const facts = { vramGb: 8, lowProfileOnly: false, boardSizes: ['ATX', 'mATX'], coolerSockets: [] }
    expect(
      (['vramGb', 'lowProfileOnly', 'boardSizes', 'coolerSockets', 'year'] as const).map((key) =>
        factText(facts, key),
      ),
    ).toEqual(['8 GB', 'no', 'ATX, mATX', 'none', 'not known'])
  })
  test('each ranked role has a unit; laptop memory and a case have no rank', () => {
    for (const role of rankedRoles) expect(indexUnit(role)).not.toBe('')
    expect([indexUnit('supply'), indexUnit('case')]).toEqual(['W', ''])
    const stick: Part = {
      id: 's',
      role: 'memory',
      make: '',
      name: '',
      facts: { capacityGb: 8, module: 'laptop' },
    }
    expect(indexOfPart(stick)).toBeNull()
    expect(indexOfPart({ ...stick, facts: { capacityGb: 8 } })).toBe(8)
  })
  test('defaults of a group of assumptions; each keeps its unit and range', () => {
    const group = { rebate: share('chance', 0.85, 'up'), room: celsius('room', 24, 'up') }
    expect(defaultsOf(group)).toEqual({ rebate: 0.85, room: 24 })
    expect([group.room.unit, group.rebate.max]).toEqual(['°C', 1])
  })
  test('silence counts against a lead only where a no is plausible', () => {
    const fact = (change: object) =>
      countsAgainst({ answer: null, state: 'missing', silenceLoses: false, ...change })
    expect([
      fact({}),
      fact({ silenceLoses: true }),
      fact({ answer: 'no' }),
      fact({ answer: 'yes', state: 'stated' }),
      fact({ state: 'contradictory' }),
    ]).toEqual([false, true, true, false, true])
  })
})

describe('runs, sales and movement', () => {
  const frames = {
    cpuIndex: 100,
    threads: 12,
    graphicsIndex: 100,
    videoMemoryGb: 8,
    memoryChannels: 2 as const,
  }
  test('the load of the card: megapixels to α × preset × upscaling', () => {
    // 1920 · 1080 = 2.0736 megapixels, α = 1
    expect(cardLoad(workload, { width: 1920, height: 1080, preset: 'high' })).toBeCloseTo(2.0736, 6)
    expect(cardLoad(workload, { width: 1920, height: 1080, preset: 'low' })).toBeCloseTo(1.0368, 6)
    const scaled = { ...workload, upscaling: { quality: 0.6 } }
    expect(cardLoad(scaled, { width: 1920, height: 1080, preset: 'high', upscaling: 'quality' })).toBeCloseTo(
      1.24416,
      6,
    )
  })
  test('lows: no run leaves the library’s shares; runs pull towards what they show', () => {
    const fitted = fitLows(workload, workload, [])
    expect(fitted.lowShare.graphics).toBeCloseTo(0.8, 9)
    expect(fitted.lowShare.cpu).toBeCloseTo(0.7, 9)
    const settings = { width: 3840, height: 2160, preset: 'ultra' }
    const run = { averageFps: 100, lowFps: 60, settings } as never
    const pulled = fitLows(
      workload,
      workload,
      Array.from({ length: 20 }, () => ({ run, machine: frames, weight: 1 })),
    )
    // at such a load the card limits: its share goes from 0.8 towards 0.6 (a shortage of video memory lifts the reading)
    expect(pulled.lowShare.graphics).toBeLessThan(0.8)
    expect(pulled.lowShare.cpu).toBeCloseTo(0.7, 2)
    const silent = { averageFps: 100, lowFps: null, settings } as never
    expect(fitLows(workload, workload, [{ run: silent, machine: frames, weight: 1 }]).lowShare).toEqual(
      fitted.lowShare,
    )
  })
  test('doubles: same source and id, or same look on the same day; the first stays, whatever the order', () => {
    const sales = [
      { day: 5, source: 'b', id: '1', look: 'card 100' },
      { day: 3, source: 'a', id: '1', look: 'card 90' },
      { day: 5, source: 'c', id: '9', look: 'card 100' }, // looks like the first, the same day
      { day: 6, source: 'a', id: '1', look: 'other' }, // the same listing as the second
      { day: 7, source: 'c', id: '9', look: 'card 100' }, // the id of a double only: it stays
    ]
    const found = (list: typeof sales) => {
      const number = (texts: string[]) =>
        Float64Array.from(texts, (text) => [...new Set(texts)].indexOf(text))
      const doubles = findDuplicates({
        identityHash: number(list.map(({ source, id }) => `${source} ${id}`)),
        lookHash: number(list.map(({ day, look }) => `${day} ${look}`)),
        keys: (index) => list[index]!,
      })
      return [...doubles]
        .map(([double, stands]) => [sales.indexOf(list[double]!), sales.indexOf(list[stands]!)])
        .sort()
    }
    expect(found(sales)).toEqual([
      [2, 0],
      [3, 1],
    ])
    expect(found([...sales].reverse())).toEqual(found(sales))
  })
  test('a trend from columns is the trend from points, in whatever order they come', () => {
    // 0.4 % a day up to today: ln slope 0.004, over 30 days e^0.12 − 1 = 12.7 %
    const points = Array.from({ length: 40 }, (_, day) => ({
      day,
      price: 10_000 * 1.004 ** day,
      manner: 'fixed',
    }))
    const trend = priceTrend(points)!
    expect(trend.direction).toBe('rising')
    expect(trend.percentPer30Days).toBeCloseTo(100 * (1.004 ** 30 - 1), 6)
    expect(priceTrend([...points].reverse())).toEqual(trend)
    const columns = {
      days: Float64Array.from(points, ({ day }) => day),
      logs: Float64Array.from(points, ({ price }) => Math.log(price)),
      manners: new Uint8Array(points.length),
    }
    expect(trendOfColumns(columns)).toEqual(trend)
    expect(
      trendOfColumns({
        days: columns.days.slice(0, 4),
        logs: columns.logs.slice(0, 4),
        manners: columns.manners.slice(0, 4),
      }),
    ).toBeNull()
  })
})
