import { cadFaults } from '../supply/faults'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { buyOrWait } from '#core/pricing/shops/buyOrWait'
import { lastAsks, paidToAsked } from '#core/pricing/street/lastAsks'
import { localAgainstOnline } from '#core/pricing/street/localAgainstOnline'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { standingOf } from '#core/pricing/street/ownFigure'
import { changeSince } from '#core/pricing/street/readHistory'
import { shopRhythm, type PricePoint } from '#core/pricing/shops/shopRhythm'
import { streetPrice } from '#core/pricing/street/streetPrice'
import { trendLine } from '#core/pricing/trend/trendLine'
import { waysToLoosen } from '#core/pricing/sieve/waysToLoosen'
import { oneSlip } from '#core/reading/titles/oneSlip'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { histogram } from '#core/statistics/histogram'
import { addDays } from '#core/time/calendarDate'

const today = '2026-10-31'
/** Runs of days at a price, the last of them ending today. */
function history(...runs: readonly (readonly [days: number, price: number])[]): PricePoint[] {
  const total = runs.reduce((sum, [days]) => sum + days, 0)
  let day = 0
  return runs.map(([days, price]) => {
    const point = { date: addDays(today, day - total + 1), price }
    day += days
    return point
  })
}

describe('shopRhythm', () => {
  test('the worked example: usual, floor, rhythm and wait', () => {
    const rhythm = shopRhythm(history([30, 10_000], [3, 8000], [27, 10_000], [3, 8000], [7, 10_000]), today)!
    expect(rhythm).toMatchObject({
      usual: 10_000,
      usualBy: 'mode',
      floor: 8000,
      everyDays: 30,
      sinceLast: 9,
      onSale: false,
      expectedWait: 21,
      today: 10_000,
    })
    expect(rhythm.sales.map((sale) => sale.lowest)).toEqual([8000, 8000])
  })
  test.each([
    ['a price of one day is no floor', history([20, 10_000], [1, 5000], [20, 10_000]), { floor: 10_000 }],
    [
      'no price with most days: the median',
      history([10, 10_000], [10, 9000]),
      { usual: 9500, usualBy: 'median' },
    ],
    [
      'on sale today: nothing to wait for',
      history([40, 10_000], [2, 8500]),
      { onSale: true, expectedWait: 0, sinceLast: 1 },
    ],
    [
      'one sale shows no rhythm',
      history([40, 10_000], [4, 8500], [10, 10_000]),
      { everyDays: null, expectedWait: null },
    ],
    [
      'an overdue sale is a whole gap away',
      history([20, 10_000], [3, 8000], [17, 10_000], [3, 8000], [60, 10_000]),
      { everyDays: 20, sinceLast: 62, expectedWait: 20 },
    ],
    [
      'a slow drift downwards is no sale',
      history([60, 10_000], [60, 9800], [60, 9600], [60, 9400]),
      { sales: [] },
    ],
    [
      'a day without a line keeps the price before it',
      [{ date: '2026-10-01', price: 100 }],
      { daily: new Array(31).fill(100) },
    ],
  ])('%s', (_, points, expected) => {
    expect(shopRhythm(points, today)).toMatchObject(expected)
  })
  test('nothing known yet is null, a price of nothing is refused', () => {
    expect(shopRhythm([{ date: '2026-11-02', price: 5 }], today)).toBeNull()
    expect(() => shopRhythm([{ date: '2026-10-02', price: 0 }], today)).toThrow('must be more than 0')
  })
  test('the order of the lines does not matter, and the floor is never above the usual price', () => {
    const points = fc.uniqueArray(
      fc.record({ age: fc.integer({ min: 0, max: 200 }), price: fc.integer({ min: 50, max: 150 }) }),
      { minLength: 1, maxLength: 30, selector: (point) => point.age },
    )
    fc.assert(
      fc.property(points, (list) => {
        const dated = list.map(({ age, price }) => ({ date: addDays(today, -age), price }))
        const rhythm = shopRhythm(dated, today)
        expect(shopRhythm([...dated].reverse(), today)).toEqual(rhythm)
        if (rhythm!.floor !== null && rhythm!.usualBy === 'mode')
          expect(rhythm!.floor).toBeLessThanOrEqual(rhythm!.usual)
      }),
    )
  })
})

describe('newOrUsed', () => {
  test('the worked example', () => {
    expect(
      newOrUsed({ assumptions: cadFaults(), role: 'graphics', street: 10_000, fresh: 13_000 }),
    ).toMatchObject({
      used: { faultProbability: 0.08, faultLoss: 864, total: 10_864 },
      fresh: { warrantyValue: 208, total: 12_792 },
      advice: 'used',
      margin: 1928,
      byHouseRule: false,
    })
  })
  test.each([
    ['level goes to new', { street: 10_000, fresh: 11_040 }, { advice: 'new' }],
    [
      'a house rule decides and shows what it costs',
      { street: 10_000, fresh: 13_000, usedForbidden: true },
      { advice: 'new', byHouseRule: true, margin: -1928 },
    ],
    [
      'no shop',
      { street: 10_000, fresh: null },
      { advice: 'only-used', margin: null, tippingUsedPrice: null },
    ],
    ['no comps', { street: null, fresh: 13_000 }, { advice: 'only-new', used: null }],
    [
      'no comps and used barred',
      { street: 9000, fresh: null, usedForbidden: true },
      { advice: 'not-known', byHouseRule: true },
    ],
    ['nothing at all', { street: null, fresh: null }, { advice: 'not-known' }],
    [
      'returns accepted halve the loss and more',
      { street: 10_000, fresh: null, protection: 'returns' as const },
      { used: { faultLoss: 144 } },
    ],
  ])('%s', (_, input, expected) =>
    expect(newOrUsed({ assumptions: cadFaults(), role: 'graphics', ...input })).toMatchObject(expected),
  )
  test('at the tipping price both ways cost the same, to a minor unit; below it used wins', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3000, max: 100_000 }),
        fc.constantFrom('cpu', 'supply', 'graphics' as const),
        (fresh, role) => {
          const tip = newOrUsed({
            assumptions: cadFaults(),
            role: role as 'cpu',
            street: fresh,
            fresh,
          }).tippingUsedPrice!
          const at = newOrUsed({ assumptions: cadFaults(), role: role as 'cpu', street: tip, fresh })
          expect(Math.abs(at.used!.total - at.fresh!.total)).toBeLessThanOrEqual(1)
          expect(
            newOrUsed({ assumptions: cadFaults(), role: role as 'cpu', street: tip - 5, fresh }).advice,
          ).toBe('used')
        },
      ),
    )
  })
})

describe('buyOrWait', () => {
  const base = {
    price: 10_000,
    kind: 'used' as const,
    today,
    wantedBy: '2026-11-30',
    trend: null,
    rhythm: null,
    notes: [],
  }
  const rhythm = { expectedWait: 12, floor: 8500, onSale: false, everyDays: 40 }
  test.each([
    ['nothing known', {}, { advice: 'level', later: 10_000, saving: 0, days: 30 }],
    [
      'falling 6 % a month, a month left',
      { trend: { percentPer30Days: -6, direction: 'falling' as const } },
      { advice: 'wait', later: 9400 },
    ],
    [
      'an unclear trend does not count',
      { trend: { percentPer30Days: -6, direction: 'unclear' as const } },
      { advice: 'level', reasons: [] },
    ],
    [
      'rising: buy',
      { trend: { percentPer30Days: 5, direction: 'rising' as const } },
      { advice: 'buy', saving: -500 },
    ],
    ['a sale due in time', { kind: 'new' as const, rhythm }, { advice: 'wait', later: 8500 }],
    [
      'a sale too late',
      { kind: 'new' as const, rhythm: { ...rhythm, expectedWait: 31 } },
      { advice: 'level' },
    ],
    ['a sale does not move used prices', { rhythm }, { advice: 'level' }],
    [
      'on sale today',
      { kind: 'new' as const, rhythm: { ...rhythm, onSale: true, expectedWait: 0 } },
      { advice: 'buy' },
    ],
    [
      'a launch in time counts by its chance, on what the trend leaves',
      {
        trend: { percentPer30Days: -10, direction: 'falling' as const },
        notes: [{ what: 'launch', expectedOn: '2026-11-18', dropPercent: 10, chance: 0.5 }],
      },
      { later: 8550 },
    ],
    [
      'a launch after the date or past does not',
      {
        notes: [
          { what: 'late', expectedOn: '2026-12-18', dropPercent: 50, chance: 1 },
          { what: 'past', expectedOn: '2026-10-30', dropPercent: 50, chance: 1 },
        ],
      },
      { saving: 0 },
    ],
    [
      'the date is past: no days left',
      { wantedBy: '2026-10-01', trend: { percentPer30Days: -60, direction: 'falling' as const } },
      { days: 0, saving: 0 },
    ],
    [
      'no date: a month',
      { wantedBy: null, trend: { percentPer30Days: -6, direction: 'falling' as const } },
      { days: 30, later: 9400 },
    ],
  ])('%s', (_, change, expected) => expect(buyOrWait({ ...base, ...change })).toMatchObject(expected))
  test('the savings of the reasons add up to the saving', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 1_000_000 }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.integer({ min: -40, max: 80 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (price, percent, drop, chance) => {
          const { saving, reasons } = buyOrWait({
            ...base,
            price,
            trend: { percentPer30Days: percent, direction: percent > 0 ? 'rising' : 'falling' },
            notes: [{ what: 'x', expectedOn: '2026-11-05', dropPercent: drop, chance }],
          })
          expect(reasons.reduce((sum, reason) => sum + reason.saving, 0)).toBe(saving)
        },
      ),
    )
  })
})

describe('asks, reads and figures', () => {
  const listing = (id: string, lastAsk: number, listedOn: string, vanishedOn: string | null) => ({
    id,
    title: id,
    firstAsk: lastAsk + 500,
    lastAsk,
    listedOn,
    vanishedOn,
  })
  test('only what vanished has a last ask; newest first', () => {
    expect(
      lastAsks([
        listing('a', 9000, '2026-10-01', '2026-10-11'),
        listing('b', 8000, '2026-10-05', null),
        listing('c', 11_000, '2026-10-02', '2026-10-22'),
      ]),
    ).toMatchObject({
      vanished: [
        { id: 'c', daysUp: 20 },
        { id: 'a', daysUp: 10 },
      ],
      medianAsk: 10_000,
      medianDaysUp: 15,
    })
    expect(lastAsks([])).toEqual({ vanished: [], medianAsk: null, medianDaysUp: null })
  })
  test('paid to asked is the median ratio with its count', () => {
    expect(
      paidToAsked([
        { asked: 100, paid: 90 },
        { asked: 200, paid: 160 },
        { asked: 50, paid: 50 },
      ]),
    ).toEqual({ ratio: 0.9, count: 3 })
    expect(paidToAsked([{ asked: 0, paid: 5 }])).toBeNull()
  })
  test('a change is held against the newest read that is old enough, else the oldest', () => {
    const reads = [
      { readOn: '2026-09-19', typical: 16_000 },
      { readOn: '2026-10-20', typical: 15_000 },
      { readOn: today, typical: 1 },
    ]
    expect(changeSince(reads, { on: today, typical: 14_400 })).toEqual({
      since: '2026-09-19',
      days: 42,
      before: 16_000,
      percent: expect.closeTo(-10, 9),
    })
    expect(changeSince(reads.slice(1), { on: today, typical: 14_250 })).toMatchObject({
      since: '2026-10-20',
      percent: expect.closeTo(-5, 9),
    })
    expect(changeSince([], { on: today, typical: 1 })).toBeNull()
  })
  test("a figure of one's own among the comps", () =>
    expect(standingOf(55, [40, 50, 55, 60])).toEqual({ below: 2, at: 1, count: 4 }))
  test('local against online wants three of each', () => {
    const comp = (manner: 'local' | 'auction' | 'fixed', unitPrice: number) => ({
      manner,
      unitPrice,
      weight: 1,
    })
    const comps = [
      comp('local', 80),
      comp('local', 90),
      comp('local', 100),
      comp('auction', 95),
      comp('fixed', 100),
      comp('auction', 120),
    ]
    expect(localAgainstOnline(comps)).toEqual({
      local: { count: 3, typical: 90 },
      online: { count: 3, typical: 100 },
      percent: expect.closeTo(-10, 9),
    })
    expect(localAgainstOnline(comps.slice(1))).toBeNull()
  })
})

describe('waysToLoosen', () => {
  const record = (id: number, change: Partial<SoldRecord>): SoldRecord => ({
    id: String(id),
    source: 'x',
    title: `Tarn 640 nr ${id}`,
    price: 10_000 + id,
    shipping: 0,
    currency: 'CAD',
    soldOn: '2026-10-20',
    manner: 'fixed',
    condition: 'used',
    ...change,
  })
  const records = [
    record(1, {}),
    record(2, { soldOn: '2026-06-20' }),
    record(3, { soldOn: '2026-06-21' }),
    record(4, { condition: 'new' }),
    record(5, { condition: 'damaged' }),
  ]
  const query = {
    must: ['Tarn'],
    mustNot: [],
    conditions: ['used'] as const,
    manners: ['fixed'] as const,
    windowDays: 90,
    halfLifeDays: 30,
    asOf: today,
    currency: 'CAD',
  }
  test('each change alone, what brings most first, never damaged things, nothing that brings nothing', () => {
    const kept = streetPrice(query, records).kept.length
    expect(
      waysToLoosen(query, records, kept, { rates: [] }).map(({ change, more }) => [change, more]),
    ).toEqual([
      ['look back 180 days', 2],
      ['accept new', 1],
    ])
  })
})

describe('the picture', () => {
  test('every value falls into one bin, the ends into the end bins', () => {
    expect(histogram([0, 5, 10, 11, -3], 0, 10, 2).map((bin) => bin.count)).toEqual([2, 3])
    expect(histogram([], 0, 10)).toEqual([])
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -100, max: 300 }), { minLength: 1 }),
        fc.integer({ min: 1, max: 40 }),
        (values, bins) => {
          expect(histogram(values, 0, 200, bins).reduce((sum, bin) => sum + bin.count, 0)).toBe(values.length)
        },
      ),
    )
  })
  test('the line goes through typical at the mean age and moves by the slope; an unclear trend has none', () => {
    const line = trendLine(
      { percentPer30Days: -10, direction: 'falling' },
      1000,
      [
        { age: 20, weight: 1 },
        { age: 40, weight: 1 },
      ],
      [60, 30, 0],
    )
    expect(line.map((point) => Math.round(point.price))).toEqual([1111, 1000, 900])
    expect(
      trendLine({ percentPer30Days: -10, direction: 'unclear' }, 1000, [{ age: 20, weight: 1 }], [0]),
    ).toEqual([])
  })
})

describe('oneSlip', () => {
  test.each([
    ['sallowfen', 'sallwofen', true],
    ['sallowfen', 'salowfen', true],
    ['sallowfen', 'salllowfen', true],
    ['sallowfen', 'sallowgen', true],
    ['sallowfen', 'sallowfen', false],
    ['sallowfen', 'allowfen', false],
    ['stook', 'stock', false],
    ['stook', 'stok', true],
    ['stook', 'sotok', true],
    ['tarn', 'tran', false],
    ['lintel', 'lontel', false],
    ['sallowfen', 'salwofn', false],
    ['threddle', 'threddles', true],
  ])('%s typed as %s: %s', (meant, typed, expected) => expect(oneSlip(meant, typed)).toBe(expected))
})
