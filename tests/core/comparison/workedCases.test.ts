import { describe, expect, test } from 'vitest'
import { holdMode } from '#core/comparison/components/consoleModes'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { tierOf } from '#core/comparison/tier'
import { waitFor } from '#core/comparison/tipping/waiting'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import type { WeighedMachine, WeighingTerms } from '#core/comparison/weighedMachine'
import { rivalComponents, unknownRival } from '#core/comparison/components/rivalFacts'
import { tippingPoint } from '#core/comparison/tipping/tipping'
import { weigh } from '#core/comparison/weigh'
import { component, machine, rate, terms, workload } from './machines'

/** Each case calculated by hand in its comment. */
const steps = (own: WeighedMachine, by: Partial<WeighingTerms> = {}) =>
  likeForLike(own, terms(by)).steps.map((step) => [step.id, step.amount])
const total = (own: WeighedMachine, by: Partial<WeighingTerms> = {}) => likeForLike(own, terms(by)).total

const weighed = (own: WeighedMachine, other: WeighedMachine, by: Partial<WeighingTerms> = {}) => {
  const { verdict } = weigh(own, other, {
    terms: terms(by),
    style: 'all-round',
    workloads: [],
    ownFrames: null,
    equivalents: [],
    formatMoney: String,
  })
  return { winner: verdict.winner, sentence: verdict.sentence }
}

describe('machines weighed by hand', () => {
  test('1 · a prebuilt that lacks two things of the list', () => {
    // 949.00 + 13 % = 123.37 + 35.00 + keyboard 28.00 + controller 39.00 = 1174.37
    const prebuilt = machine({ price: 94_900, taxPercent: 13, shipping: 3500, brings: ['licence'] })
    expect(
      steps(prebuilt, { needPrices: { licence: 2400, 'keyboard-mouse': 2800, controller: 3900 } }),
    ).toEqual([
      ['price', 94_900],
      ['tax', 12_337],
      ['shipping', 3500],
      ['keyboard-mouse', 2800],
      ['controller', 3900],
    ])
    expect(total(prebuilt, { needPrices: { licence: 2400, 'keyboard-mouse': 2800, controller: 3900 } })).toBe(
      117_437,
    )
  })
  test('2 · delivery that only one of two sellers counts: the silent one gets the usual delivery', () => {
    // 800.00 with delivery in it; 780.00 and nothing said of it: 780.00 + 35.00 = 815.00, so the first is 15.00 cheaper
    expect(total(machine({ price: 80_000, shipping: 0 }))).toBe(80_000)
    expect(total(machine({ price: 78_000, shipping: null }))).toBe(81_500)
  })
  test('3 · memory speed not stated: the same CPU behind the slowest memory of its generation', () => {
    const library = [
      ['cpu', { socket: 'S', cpuIndex: 100, threads: 12, limitW: 65 }],
      ['graphics', { graphicsIndex: 100, vramGb: 8, boardPowerW: 120 }],
      ['motherboard', { socket: 'S', memoryGeneration: 'DDR4', formFactor: 'ATX' }],
      ['memory', { memoryGeneration: 'DDR4', capacityGb: 16, kitCount: 2, speedMts: 3200 }],
    ] as const
    const parts = library.map(([role, facts]) => ({ id: role, role, make: '', name: role, facts }))
    const said = { ...unknownRival, cpuId: 'cpu', graphicsId: 'graphics', memoryGb: 16, memoryModules: 2 }
    const memory = (mts: number | null) =>
      rivalComponents(
        { ...said, memoryMts: mts },
        new Map(parts.map((part) => [part.id, part])),
        parts.map((part) => ({ part, price: 5000 })),
      ).find((each) => each.role === 'memory')!
    expect(memory(null).facts.speedMts).toBe(2133)
    expect(memory(3200).facts.speedMts).toBe(3200)
    expect(memory(null).facts).toMatchObject({ capacityGb: 16, kitCount: 2 })
  })
  test('4 · a console with a subscription and extra cost of games over three years', () => {
    // 599.00 + 13 % 77.87 + 3 · 79.00 + 3 · 4 games · 14.00 = 599 + 77.87 + 237 + 168 = 1081.87
    // less what is left: 420.00 · 0.8³ = 215.04
    // outside its year of warranty 2 of 3 years: 0.022 · 599.00 · 2 = 26.36
    const console = machine({
      kind: 'console',
      price: 59_900,
      taxPercent: 13,
      subscriptionPerYear: 7900,
      gameSurcharge: 1400,
      resaleToday: 42_000,
      warrantyMonths: 12,
    })
    expect(steps(console)).toEqual([
      ['price', 59_900],
      ['tax', 7787],
      ['faults', 2636],
      ['subscription', 23_700],
      ['games', 16_800],
      ['value-left', -21_504],
    ])
    expect(total(console)).toBe(89_319)
  })
  test('5 · a longer warranty takes its years off the expected repairs', () => {
    // a card of 100.00 fails with 0.03 a year: 3 years 9.00; with 2 years of warranty 3.00; with 3 nothing
    const faults = (warrantyMonths: number) =>
      steps(machine({ components: [component({ warrantyMonths })] }), { wholeFactor: 0 }).find(
        ([id]) => id === 'faults',
      )?.[1]
    expect([faults(0), faults(24), faults(36)]).toEqual([900, 300, undefined])
  })
  test('6 · a used build without a licence against one that has it', () => {
    // 600.00 + licence 24.00 = 624.00 against 615.00 with it
    const by = { needPrices: { licence: 2400 } }
    expect([total(machine(), by), total(machine({ price: 61_500, brings: ['licence'] }), by)]).toEqual([
      62_400, 61_500,
    ])
  })
  test('7 · energy: 250 W for two hours a day at 0.20, three years', () => {
    // 0.25 kW · 2 h · 365 · 0.20 = 36.50 a year, 109.50 in three
    expect(
      steps(machine({ watts: { full: 250, idle: 60, kind: 'measured' } })).find(([id]) => id === 'energy'),
    ).toEqual(['energy', 10_950])
  })
  test('8 · value left: parts lose by their kind, a thing that was not counted leaves nothing', () => {
    // 0.9 · (100.00 · 0.8³ + 50.00 · 0.9³) = 0.9 · (51.20 + 36.45) = 78.885, away from zero 78.89
    const own = machine({
      components: [
        component({ warrantyMonths: 36 }),
        component({ role: 'supply', street: 5000, warrantyMonths: 36 }),
        component({ role: 'case', street: 9900, counted: false, warrantyMonths: 36 }),
      ],
    })
    expect(steps(own, { keeps: { whole: 0.8, supply: 0.9 } }).find(([id]) => id === 'value-left')).toEqual([
      'value-left',
      -7889,
    ])
  })
  test('9 · wanted things beyond the list come off, hours are a step of their own', () => {
    // 600.00 − headset 30.00 + 6 h · 12.00 = 642.00
    expect(total(machine({ extras: [{ label: 'headset', worth: 3000 }], hours: 6 }), { perHour: 1200 })).toBe(
      64_200,
    )
  })
  test('10 · tipping price: at what price of its card the build is no longer the cheaper', () => {
    // the build costs 500.00 + card 131.00, the prebuilt 780.00, as fast: it turns where the card costs 280.00
    const other = machine({
      id: 'other',
      name: 'Other',
      kind: 'prebuilt',
      price: 78_000,
      rates: [rate('a', 60)],
    })
    const winnerAt = (card: number) =>
      weigh(machine({ price: 50_000 + card, rates: [rate('a', 60)] }), other, {
        terms: terms(),
        style: 'all-round',
        workloads: [],
        ownFrames: null,
        equivalents: [],
        formatMoney: String,
      }).verdict.winner
    expect(winnerAt(13_100)).toBe('own')
    const { above, below } = tippingPoint(winnerAt, {
      now: 13_100,
      range: { from: 0, to: 60_000 },
      unit: 1,
    })
    expect(below).toBeNull()
    expect(above!.value).toBe(28_000)
    expect(winnerAt(27_999)).toBe('own')
    expect(winnerAt(28_001)).toBe('other')
  })
  test('11 · the same list assembled and delivered: what the hours pay', () => {
    // 1082.00 + 125.00 = 1207.00 against 783.00 and six hours: 424.00, which pays 70.66 an hour, not 70.67
    const assembled = machine({
      id: 'tier',
      name: 'Assembled',
      kind: 'configured',
      price: 108_200,
      shipping: 12_500,
    })
    const own = machine({ price: 78_300, hours: 6 })
    expect(total(assembled) - total(own)).toBe(42_400)
    const winnerAt = (perHour: number) =>
      weighed({ ...own, rates: [rate('a', 60)] }, { ...assembled, rates: [rate('a', 60)] }, { perHour })
        .winner
    expect([winnerAt(7066), winnerAt(7067)]).toEqual(['own', 'other'])
  })
  test('12 · the same supply on both sides changes the totals alike, and not the verdict', () => {
    const supply = component({ role: 'supply', label: 'supply', street: 5000, warrantyMonths: 24 })
    const [own, other] = [
      machine({ price: 50_000, rates: [rate('a', 60)] }),
      machine({ id: 'b', name: 'B', kind: 'prebuilt', price: 56_000, rates: [rate('a', 60)] }),
    ]
    const withIt = (each: WeighedMachine) => ({ ...each, price: each.price + 5000, components: [supply] })
    // a year without warranty of the supply's risk less what is left of it, on either side
    expect(total(withIt(own)) - total(own)).toBe(total(withIt(other)) - total(other))
    expect(weighed(withIt(own), withIt(other))).toEqual(weighed(own, other))
  })
  test('13 · a card of 200.00 not yet sold: up to which price the build with it wins', () => {
    // 400.00 + card against 639.00, as fast: wins up to 238.99, level at 239.00
    const other = machine({ id: 'b', name: 'B', kind: 'prebuilt', price: 63_900, rates: [rate('a', 60)] })
    const at = (card: number) =>
      weighed(machine({ price: 40_000 + card, rates: [rate('a', 60)] }), other).winner
    const { above } = tippingPoint(at, { now: 20_000, range: { from: 0, to: 60_000 }, unit: 1 })
    // level for one cent
    expect(above).toEqual({ value: 23_900, winner: 'depends', next: { value: 23_901, winner: 'other' } })
    expect([at(23_899), at(23_901)]).toEqual(['own', 'other'])
  })
  test('14 · kept longer, what runs on weighs more: energy turns the cheaper machine', () => {
    // 250 W more for two hours at 0.20 is 36.50 a year: 100.00 less at once is used up after 2.8 years
    const thirsty = machine({
      price: 50_000,
      rates: [rate('a', 60)],
      watts: { full: 350, idle: 0, kind: 'stated' },
    })
    const thrifty = machine({
      id: 'b',
      name: 'B',
      kind: 'prebuilt',
      price: 60_000,
      rates: [rate('a', 60)],
      watts: { full: 100, idle: 0, kind: 'stated' },
    })
    const at = (years: number) => weighed(thirsty, thrifty, { years }).winner
    expect([at(2.7), at(2.8)]).toEqual(['own', 'other'])
    expect(tippingPoint(at, { now: 1, range: { from: 0.5, to: 10 }, unit: 0.1 }).above!.value).toBe(2.8)
  })
  test('15 · a used rival without warranty: dead on arrival once, yearly faults over all three years', () => {
    // 500.00 asked, 8 % dead on arrival and nobody answers for it: 40.00; a card of 100.00 at 3 % a year: 9.00
    const offered = machine({
      kind: 'offered',
      price: 50_000,
      arrivalShare: 0.08,
      components: [component({ counted: false })],
    })
    expect(steps(offered)).toEqual([
      ['price', 50_000],
      ['faults', 4900],
    ])
    // against a shop's machine of the same parts with two years of warranty: 3.00, so up to 546.00 it is the dearer one
    const fresh = machine({
      id: 'b',
      price: 54_599,
      components: [component({ counted: false, warrantyMonths: 24 })],
    })
    expect([total(offered), total(fresh), total({ ...fresh, price: 54_600 })]).toEqual([
      54_900, 54_899, 54_900,
    ])
  })
  test('16 · a console now, the build in two years: what the years between cost, and what the build costs then', () => {
    // build now: 600.00, one card of 100.00 that keeps 0.8 a year: 0.9 · 51.20 = 46.08 left, repairs 9.00: 562.92
    const build = machine({ components: [component()] })
    // console for two years: 400.00 + 2 · 60.00, fetches 300.00 · 0.85² = 216.75, repairs 0.022 · 400 · 2 = 17.60: 320.85
    const console = machine({
      id: 'b',
      kind: 'console',
      price: 40_000,
      subscriptionPerYear: 6000,
      resaleToday: 30_000,
      warrantyMonths: 0,
    })
    const by = terms({ keeps: { whole: 0.8, console: 0.85 } })
    const { buildNow, between, priceThen, buildLater, total } = waitFor(build, console, by, 2)
    expect([buildNow, between, priceThen]).toEqual([56_292, 32_085, 38_400])
    // 384.00 + repairs of one year 3.00 − 0.9 · 80.00 left after it
    expect([buildLater, total]).toEqual([31_500, 63_585])
  })
  test('17 · a console that shows 2160p at 51 lowest, its average not known: the heaviest preset that never falls below', () => {
    // 8.29 megapixels at α = 1, a = 5, index 400: 10.37 ms on the card, 5 ms on the CPU: 96.0 fps, 0.797 of it in the lows
    const mode = { workloadId: 'a', width: 3840, height: 2160, fps: null, lowFps: 51 }
    const frames = { cpuIndex: 100, threads: 12, graphicsIndex: 400, videoMemoryGb: 16, memoryChannels: 2 }
    const heavy = {
      ...workload,
      presets: { high: workload.presets.high!, ultra: { graphics: 1.6, cpu: 1, videoMemoryGb: 6 } },
    }
    const lowAt = (preset: string) => estimateFrameRate(heavy, frames, { ...mode, preset }).lowFps
    expect([Math.round(lowAt('high')), Math.round(lowAt('ultra'))]).toEqual([77, 48])
    expect(holdMode(heavy, frames, mode, [])).toMatchObject({
      heldAt: 'high',
      surely: true,
      standing: 'level',
    })
    // at 47 lowest the heavier preset does, though not for sure
    expect(holdMode(heavy, frames, { ...mode, lowFps: 47 }, [])).toMatchObject({
      heldAt: 'ultra',
      surely: false,
    })
    expect(holdMode(heavy, frames, { ...mode, lowFps: 90 }, [])).toMatchObject({
      heldAt: null,
      standing: 'worse',
    })
  })
  test('18 · a budget built for 783.00 or assembled for 1082.00 with 125.00 delivery: what the hours earn', () => {
    const by = terms()
    const [own, shop] = [
      likeForLike(machine({ price: 78_300 }), by),
      likeForLike(machine({ id: 'b', kind: 'configured', price: 108_200, shipping: 12_500 }), by),
    ]
    const tier = tierOf(own, shop, { hours: 8, perHour: 0 })
    expect(tier).toEqual({
      build: 78_300,
      assembled: 108_200,
      delivery: 12_500,
      difference: 42_400,
      paysAnHour: 5300,
      paysForHours: null,
    })
    expect(tierOf(own, shop, { hours: 0, perHour: 2000 })).toMatchObject({
      paysAnHour: null,
      paysForHours: 21.2,
    })
  })
})
