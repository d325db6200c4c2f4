import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dropOutliers } from '#core/pricing/sieve/dropOutliers'
import {
  chanceOfAllHunts,
  chanceWithin,
  daysForAllHunts,
  expectedWait,
  payUpToPrice,
} from '#core/pricing/patience/patience'
import { patienceCurve } from '#core/pricing/patience/patienceCurve'
import type { PriceQuery } from '#core/reading/titles/priceQuery'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { RecordIndex } from '#core/pricing/sieve/recordIndex'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { streetPrice } from '#core/pricing/street/streetPrice'
import { priceTrend } from '#core/pricing/trend/trend'
import { readSoldRecords } from '#core/files/import/soldRecordsFile'
import { weightedQuantileSorted } from '#core/statistics/weightedQuantileSorted'
import { addDays, dayNumber } from '#core/time/calendarDate'
import { catalogue } from '../../../demo/catalogue'
import { chance } from '../../../demo/random'
import { soldRecordsCsv } from '../../../demo/soldRecords'
import { demoRates, demoToday } from '../../../demo/trade'
import {
  outliersByDefinition,
  patienceByDefinition,
  quantileByDefinition,
  senIntervalByDefinition,
  slopeByDefinition,
} from './secondMethod'

const query: PriceQuery = {
  must: ['Tarn', '640'],
  mustNot: [],
  conditions: ['used'],
  manners: ['auction', 'fixed', 'local'],
  windowDays: 90,
  halfLifeDays: 30,
  asOf: '2026-10-31',
  currency: 'CAD',
}
const sale = (id: string, price: number, change: Partial<SoldRecord> = {}): SoldRecord => ({
  id,
  source: 'Gavelry',
  title: `Tarn 640 number ${id}`,
  price,
  shipping: 0,
  currency: 'CAD',
  soldOn: '2026-10-31',
  manner: 'auction',
  condition: 'used',
  ...change,
})

describe('streetPrice', () => {
  test('three sales of today: worked out by hand', () => {
    // positions 1/6, 3/6, 5/6; patient 0.2: 100 + (0.2 − 1/6)/(2/6)·10 = 101; hurried 0.8: 110 + (0.8 − 0.5)/(2/6)·10 = 119
    const reading = streetPrice(query, [sale('a', 10_000), sale('b', 12_000), sale('c', 11_000)])
    expect(reading.marks).toEqual({ patient: 10_100, typical: 11_000, hurried: 11_900 })
    expect(reading.effectiveCount).toBe(3)
    // 0.5 ± 1.645·√(0.25/3) = 0.5 ± 0.4749, past the first and last positions
    expect(reading.interval).toEqual({ low: 10_000, high: 12_000 })
    expect(reading.grade).toBe('thin')
    expect(reading.trend).toBeNull()
  })

  test('a sale one half-life old weighs half', () => {
    const reading = streetPrice(query, [sale('a', 10_000), sale('b', 12_000, { soldOn: '2026-10-01' })])
    expect(reading.kept.map((comp) => comp.weight)).toEqual([1, 0.5])
    expect(reading.effectiveCount).toBeCloseTo(1.8, 12) // 1.5² / 1.25
  })

  test('unit price: shipping in, divided by the quantity, converted at the rate of its day, rounded once', () => {
    const rates = [{ date: '2026-06-01', from: 'SEK', to: 'CAD', rate: '0.13' }]
    const reading = streetPrice(
      query,
      [
        sale('a', 20_001, { shipping: 900, title: '2x Tarn 640', quantity: 2 }),
        sale('b', 100_000, { currency: 'SEK', title: 'Tarn 640 card' }),
      ],
      { rates },
    )
    expect(reading.kept.map((comp) => comp.unitPrice)).toEqual([10_451, 13_000]) // 10450.5 rounds up
    expect(() => streetPrice(query, [sale('b', 100_000, { currency: 'SEK' })])).toThrow(
      'no exchange rate from SEK to CAD',
    )
  })

  test('a currency without a rate is refused, or left out with the pair and the date where asked', () => {
    const records = [sale('a', 10_000), sale('b', 9000, { currency: 'CHF', title: 'Tarn 640 card' })]
    expect(() => streetPrice(query, records)).toThrow(
      'no exchange rate from CHF to CAD on or before 2026-10-31',
    )
    const reading = streetPrice(query, records, { missingRate: 'drop' })
    expect(reading.kept.map((comp) => comp.id)).toEqual(['a'])
    expect(reading.dropped).toEqual([
      { id: 'b', reason: 'price', detail: 'no exchange rate from CHF to CAD on or before 2026-10-31' },
    ])
  })

  test('of duplicates the first by date, source, id stays, in whatever order they come', () => {
    const twin = { title: 'Tarn 640 twin', price: 10_000 }
    const records = [
      sale('z', 1, { ...twin, source: 'B' }),
      sale('a', 1, { ...twin, source: 'A' }),
      sale('a', 9000, { source: 'A', soldOn: '2026-10-30' }),
      sale('q', 10_000),
    ]
    for (const order of [records, [...records].reverse()]) {
      const reading = streetPrice(query, order)
      expect(reading.kept.map((comp) => `${comp.id} ${comp.unitPrice}`).sort()).toEqual([
        'a 9000',
        'q 10000',
        'z 10000',
      ])
      expect(reading.dropped.map((each) => [each.id, each.reason])).toEqual([['a', 'duplicate']])
    }
  })

  test("the builder overrules: a kept record joins the outliers but is never dropped, a dropped one is the builder's", () => {
    const records = [
      ...Array.from({ length: 8 }, (_, i) => sale(`n${i}`, 10_000 + i * 10)),
      sale('far', 90_000),
      sale('box', 1000, { title: 'Tarn 640 box only' }),
    ]
    expect(streetPrice(query, records).dropped.map((each) => `${each.id} ${each.reason}`)).toEqual([
      'far outlier',
      'box accessory',
    ])
    const overruled = streetPrice(query, records, { overrides: { far: 'keep', box: 'keep', n0: 'drop' } })
    expect(overruled.dropped.map((each) => `${each.id} ${each.reason}`)).toEqual(['n0 builder'])
    expect(overruled.kept).toHaveLength(9)
  })

  test('a price of zero or less has a reason of its own', () => {
    expect(streetPrice(query, [sale('a', 0), sale('b', -500)]).dropped.map((each) => each.reason)).toEqual([
      'price',
      'price',
    ])
    expect(streetPrice(query, []).marks).toBeNull()
    expect(streetPrice(query, []).grade).toBe('none')
  })

  test('prices too large to be packed into one key are ordered all the same', () => {
    const prices = [900_000_000_000, 900_000_000_100, 900_000_000_050]
    const records = prices.map((price, i) => sale(`r${i}`, price, { soldOn: addDays('2026-10-31', -i * 30) }))
    const reading = streetPrice(query, records)
    expect([...(reading.flow.prices as Float64Array)]).toEqual([...prices].sort((a, b) => a - b))
    const many = Array.from({ length: 200 }, (_, i) =>
      sale(`m${i}`, 900_000_000_000 + ((i * 37) % 200), { soldOn: addDays('2026-10-31', -(i % 80)) }),
    )
    const sorted = [...(streetPrice(query, many).flow.prices as Float64Array)]
    expect(sorted).toEqual([...sorted].sort((a, b) => a - b))
  })

  test('every record is either kept or dropped, and the order of the input changes no figure', () => {
    const record = fc.record({
      price: fc.integer({ min: -100, max: 50_000 }),
      age: fc.integer({ min: -2, max: 100 }),
      manner: fc.constantFrom('auction', 'fixed', 'local'),
    })
    fc.assert(
      fc.property(fc.array(record, { maxLength: 40 }), fc.integer({ min: 0, max: 1000 }), (list, seed) => {
        const records = list.map(({ price, age, manner }, i) =>
          sale(`r${i}`, price, {
            soldOn: addDays('2026-10-31', -age),
            manner: manner as SoldRecord['manner'],
          }),
        )
        const draw = chance(seed)
        const shuffled = records
          .map((each) => [draw.share(), each] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, each]) => each)
        const [a, b] = [streetPrice(query, records), streetPrice(query, shuffled)]
        expect(a.kept.length + a.dropped.length).toBe(records.length)
        expect(b.marks).toEqual(a.marks)
        expect(b.interval).toEqual(a.interval)
        expect(b.trend).toEqual(a.trend)
        expect(b.effectiveCount).toBeCloseTo(a.effectiveCount, 9)
      }),
      { numRuns: 60 },
    )
  })
})

describe("the demo's records, by a second method", () => {
  const { records, problems } = readSoldRecords(soldRecordsCsv(20_261_032), {
    source: 'file',
    currency: 'CAD',
    manner: 'fixed',
    condition: 'used',
    today: demoToday,
  })
  const sold: SoldRecord[] = records.map(({ quantity, externalId, ...rest }) => ({
    ...rest,
    id: externalId,
    ...(quantity === null ? {} : { quantity }),
  }))
  const index = new RecordIndex(sold)
  const names = [
    'murrowdun-tarn-640-8-gb',
    'sundrel-stook-51-8-gb',
    'kaldric-sallowfen-5400',
    'kaldric-sallowfen-6600',
    'palisado-16-gb-ddr4-2-8',
    'northpine-n4-micro',
    'fathomline-race-1-tb-nvme',
    'steadwell-550-w',
    'meridon-desk-30-tower',
    'ostrane-threddle-53',
    'murrowdun-tarn-560-8-gb',
    'palisado-32-gb-ddr4-2-16',
  ]

  test("nothing of the generator's file is refused", () => expect(problems).toEqual([]))

  test.each(names)('%s: marks, intervals, trend and patience', (id) => {
    const part = catalogue.find((each) => each.id === id)!
    const full: PriceQuery = { ...queryForPart(part, catalogue), asOf: demoToday, currency: 'CAD' }
    const reading = streetPrice(full, index.candidates(full.must), { rates: demoRates })
    const all = streetPrice(full, sold, { rates: demoRates })
    expect(all.marks).toEqual(reading.marks) // the index leaves out nothing that counts
    expect(reading.kept.length).toBeGreaterThan(8)
    const byId = new Map(sold.map((record) => [record.id, record]))
    const comps = reading.kept.map((comp) => {
      const { soldOn, source, id: number } = byId.get(comp.id)!
      return { price: comp.unitPrice, weight: comp.weight, tie: `${soldOn} ${source} ${number}` }
    })
    const marks = [0.2, 0.5, 0.8].map((q) => Math.round(quantileByDefinition(comps, q)))
    expect([reading.marks!.patient, reading.marks!.typical, reading.marks!.hurried]).toEqual(marks)
    const effective =
      comps.reduce((sum, comp) => sum + comp.weight, 0) ** 2 /
      comps.reduce((sum, comp) => sum + comp.weight ** 2, 0)
    const half = 1.645 * Math.sqrt(0.25 / effective)
    expect(reading.interval).toEqual({
      low: Math.round(quantileByDefinition(comps, 0.5 - half)),
      high: Math.round(quantileByDefinition(comps, 0.5 + half)),
    })
    const points = reading.kept.map((comp) => ({
      day: dayNumber(byId.get(comp.id)!.soldOn),
      price: comp.unitPrice,
      manner: byId.get(comp.id)!.manner,
    }))
    expect(reading.trend!.percentPer30Days).toBeCloseTo(
      100 * (Math.exp(30 * slopeByDefinition(points)) - 1),
      9,
    )
    const [low, high] = senIntervalByDefinition(points)
    expect(reading.trend!.low).toBeCloseTo(100 * (Math.exp(30 * low) - 1), 9)
    expect(reading.trend!.high).toBeCloseTo(100 * (Math.exp(30 * high) - 1), 9)
    for (const { id: number, weight } of reading.kept)
      expect(weight).toBeCloseTo(
        0.5 ** ((dayNumber(demoToday) - dayNumber(byId.get(number)!.soldOn)) / 30),
        12,
      )
    const patience = patienceByDefinition(comps, 90, 0.2)
    for (const [price, days] of [
      [marks[0]!, 7],
      [marks[1]!, 21],
      [marks[2]!, 60],
    ] as const) {
      expect(chanceWithin(reading.flow, price, days)).toBeCloseTo(patience.chance(price, days), 9)
      expect(expectedWait(reading.flow, price)).toBeCloseTo(patience.wait(price), 6)
    }
    for (const [q, days] of [
      [0.3, 14],
      [0.5, 21],
      [0.8, 30],
      [0.95, 5],
    ] as const)
      expect(payUpToPrice(reading.flow, q, days)).toBe(patience.limit(q, days))
    // the street price the generator had in mind lies within a sixth of what is read
    expect(Math.abs(reading.marks!.typical / 100 / part.street - 1)).toBeLessThan(0.17)
  })
})

describe('dropOutliers', () => {
  test('few records are left alone, a floor keeps rounded prices together', () => {
    expect(dropOutliers([1, 2, 3, 4, 500]).size).toBe(0)
    expect(dropOutliers([100, 100, 100, 100, 100, 130]).size).toBe(0) // ln 1.3 / 0.08 = 3.28
    expect([...dropOutliers([100, 100, 100, 100, 100, 133]).keys()]).toEqual([5]) // ln 1.33 / 0.08 = 3.56
  })
  test('agrees with the definition', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 100_000 }), { maxLength: 40 }), (prices) => {
        expect([...dropOutliers(prices).keys()].sort((a, b) => a - b)).toEqual(outliersByDefinition(prices))
      }),
    )
  })
})

describe('weightedQuantileSorted', () => {
  test('lies within the values and agrees with the definition', () => {
    const comp = fc.record({
      price: fc.integer({ min: 1, max: 1000 }),
      weight: fc.double({ min: 0.05, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(
        fc.array(comp, { minLength: 1, maxLength: 20 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (comps, q) => {
          const sorted = [...comps].sort((a, b) => a.price - b.price)
          expect(
            weightedQuantileSorted(
              sorted.map((each) => each.price),
              sorted.map((each) => each.weight),
              q,
            ),
          ).toBeCloseTo(quantileByDefinition(sorted, q), 6)
        },
      ),
    )
  })
})

describe('priceTrend', () => {
  const steady = (slope: number, manner = (_i: number) => 'auction') =>
    Array.from({ length: 30 }, (_, i) => ({ day: i, price: 10_000 * Math.exp(slope * i), manner: manner(i) }))
  test('recovers an exact drift', () => {
    expect(priceTrend(steady(-0.001))!.percentPer30Days).toBeCloseTo(100 * (Math.exp(-0.03) - 1), 9)
    expect(priceTrend(steady(-0.001))!.direction).toBe('falling')
  })
  test('needs five records and three dates', () => {
    expect(priceTrend(steady(0).slice(0, 4))).toBeNull()
    expect(priceTrend(steady(0).map((point) => ({ ...point, day: point.day % 2 })))).toBeNull()
  })
  test('a change in the mix of manners is no trend', () => {
    const points = Array.from({ length: 40 }, (_, i) => ({
      day: i,
      price: i < 20 ? 10_000 : 8000,
      manner: i < 20 ? 'auction' : 'local',
    }))
    expect(priceTrend(points)!.percentPer30Days).toBeCloseTo(0, 12)
  })
  test('a seeded sample above 2 000 records comes close to all pairs, the same each time', () => {
    const draw = chance(5)
    const points = Array.from({ length: 2050 }, () => {
      const day = draw.whole(0, 89)
      return { day, price: 10_000 * Math.exp(0.002 * day + 0.1 * draw.normal()), manner: 'fixed' }
    })
    const trend = priceTrend(points, 7)!
    expect(trend.sampledPairs).toBe(200_000)
    expect(trend.percentPer30Days).toBeCloseTo(100 * (Math.exp(30 * slopeByDefinition(points)) - 1), 0)
    expect(priceTrend([...points].reverse(), 7)).toEqual(trend)
  })
})

describe('patience', () => {
  const flow = { prices: [100, 120, 140, 160], weights: [1, 1, 1, 1], perDay: 0.5, catchShare: 0.2 }
  test('worked out by hand: at 120 half the comps, so λcF = 0.05 a day', () => {
    expect(chanceWithin(flow, 120, 20)).toBeCloseTo(1 - Math.exp(-1), 12)
    expect(expectedWait(flow, 120)).toBeCloseTo(20, 12)
    expect(expectedWait(flow, 99)).toBeNull()
    expect(chanceWithin(flow, 99, 20)).toBe(0)
  })
  test('the pay-up-to price is the lowest that reaches the chance', () => {
    expect(payUpToPrice(flow, 0.6, 20)).toBe(120) // needs F ≥ −ln 0.4 / 2 = 0.458
    expect(payUpToPrice(flow, 0.65, 20)).toBe(140) // 0.525
    expect(payUpToPrice(flow, 0.9, 20)).toBeNull() // 1.15
    expect(payUpToPrice(flow, 0.5, 0)).toBeNull()
    expect(payUpToPrice(flow, 1, 1000)).toBeNull()
  })
  test('the curve rises from the lowest comp to the highest', () => {
    const curve = patienceCurve(flow, 20, 3)
    expect(curve.map((point) => point.price)).toEqual([100, 120, 140, 160])
    expect(curve.map((point) => point.chance)).toEqual(
      [100, 120, 140, 160].map((price) => chanceWithin(flow, price, 20)),
    )
    expect(patienceCurve({ ...flow, prices: [5, 5], weights: [1, 1] }, 20)).toHaveLength(1)
    expect(patienceCurve({ ...flow, prices: [], weights: [] }, 20)).toEqual([])
  })
  test('all hunts together: the day on which the product reaches 0.8', () => {
    const days = daysForAllHunts([0.05, 0.1])!
    expect(chanceOfAllHunts([0.05, 0.1], days)).toBeCloseTo(0.8, 9)
    expect(daysForAllHunts([])).toBe(0)
    expect(daysForAllHunts([0.1, 0])).toBeNull()
  })
})
