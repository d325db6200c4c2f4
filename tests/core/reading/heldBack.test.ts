import { describe, expect, test } from 'vitest'
import { labelledTitles } from '../../../demo/labelledTitles'
import { heldBackSeed, measureSieve } from '../../../demo/measureSieve'
import { chance } from '../../../demo/random'
import { streetPrice } from '#core/pricing/street/streetPrice'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { addDays } from '#core/time/calendarDate'
import { quantileByDefinition } from '../pricing/secondMethod'

describe('5 000 dirty titles held back', () => {
  test('97 % of the wanted are kept and 97 % of the unwanted dropped', () => {
    const { wanted, wantedKept, unwanted, unwantedDropped } = measureSieve(labelledTitles(heldBackSeed, 5000))
    expect(wanted).toBeGreaterThan(2500)
    expect(unwanted).toBeGreaterThan(1000)
    expect(wantedKept / wanted).toBeGreaterThanOrEqual(0.97)
    expect(unwantedDropped / unwanted).toBeGreaterThanOrEqual(0.97)
  })
})

describe('the 90 % interval of the typical mark', () => {
  const today = '2026-10-31'
  const query = {
    must: ['Tarn'],
    mustNot: [],
    conditions: ['used'] as const,
    manners: ['auction', 'fixed', 'local'] as const,
    windowDays: 90,
    halfLifeDays: 30,
    asOf: today,
    currency: 'CAD',
  }
  const draw = chance(4711)
  /** Prices without trend: two manners at different levels, so that the population is not a plain bell. */
  const record = (id: number): SoldRecord => {
    const manner = draw.happens(0.5) ? 'auction' : 'fixed'
    return {
      id: String(id),
      source: 'Gavelry',
      title: `Tarn 640 nr ${id}`,
      price: Math.round(13_000 * (manner === 'auction' ? 0.97 : 1.04) * Math.exp(0.12 * draw.normal())),
      shipping: 0,
      currency: 'CAD',
      soldOn: addDays(today, -draw.whole(0, 89)),
      manner,
      condition: 'used',
    }
  }
  const population = Array.from({ length: 20_000 }, (_, id) => record(id))
  const ageOf = new Map(Array.from({ length: 90 }, (_, age) => [addDays(today, -age), age]))
  const truth = quantileByDefinitionFast(
    population.map((each) => ({ price: each.price, weight: 0.5 ** (ageOf.get(each.soldOn)! / 30) })),
  )

  test.each([8, 12, 20, 40, 80, 200])(
    "holds the population's weighted median in 80 to 97 of 100 draws of %i",
    (n) => {
      let held = 0
      for (let round = 0; round < 300; round += 1) {
        const { interval } = streetPrice(
          query,
          Array.from({ length: n }, (_, id) => record(id)),
        )
        if (interval!.low <= truth && truth <= interval!.high) held += 1
      }
      expect(held / 300).toBeGreaterThanOrEqual(0.8)
      expect(held / 300).toBeLessThanOrEqual(0.97)
    },
  )

  /** The definition is quadratic; 200 price groups of it are enough for a median of 20 000. */
  function quantileByDefinitionFast(comps: readonly { price: number; weight: number }[]): number {
    const groups = new Map<number, number>()
    for (const { price, weight } of comps)
      groups.set(Math.round(price / 20) * 20, (groups.get(Math.round(price / 20) * 20) ?? 0) + weight)
    return quantileByDefinition(
      [...groups].map(([price, weight]) => ({ price, weight })),
      0.5,
    )
  }
})
