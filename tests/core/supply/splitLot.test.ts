import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { netResale, splitLot } from '#core/supply/lots/splitLot'

describe('splitLot', () => {
  test('a lot of four kept things and one sold on, by hand', () => {
    // resale 0.9 · (26.00 · 0.87 − 4.00) = 16.758 → 16.76; kept cost 128.00 − 16.76 = 111.24 over 92 : 61 : 24
    const split = splitLot('CAD', 12_800, [
      { id: 'cpu', streetPrice: 9200, plan: 'keep' },
      { id: 'board', streetPrice: 6100, plan: 'keep' },
      { id: 'memory', streetPrice: 2400, plan: 'keep' },
      { id: 'card', streetPrice: 2600, plan: 'resell', feePercent: 13, shipping: 400 },
      { id: 'junk', streetPrice: 0, plan: 'discard' },
    ])
    expect(split.effectiveTotal.amount).toBe(11_124)
    expect(split.things.map((thing) => thing.effectiveCost?.amount ?? null)).toEqual([
      5782,
      3834,
      1508,
      null,
      null,
    ])
    expect(split.boughtSinglyTotal.amount).toBe(17_700)
    expect(split.saving).toEqual({
      amount: { amount: 6576, currency: 'CAD' },
      percent: (100 * 6576) / 17_700,
    })
  })
  test('nothing kept: no shares; the cost may be negative', () => {
    const split = splitLot('CAD', 1000, [{ id: 'a', streetPrice: 9000, plan: 'resell' }])
    expect(split.effectiveTotal.amount).toBe(1000 - 8100)
    expect(split.things[0]!.effectiveCost).toBeNull()
    expect(split.saving.percent).toBeNull()
  })
  test('fees above the price: given away, never below zero', () => {
    expect(netResale({ id: 'a', streetPrice: 500, plan: 'resell', shipping: 900 })).toBe(0)
  })
  test('kept shares plus net resale equal the landed cost', () => {
    const thing = fc.record({
      streetPrice: fc.integer({ min: 0, max: 50_000 }),
      plan: fc.constantFrom('keep' as const, 'resell' as const, 'discard' as const),
      feePercent: fc.integer({ min: 0, max: 20 }),
    })
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 100_000 }),
        fc.array(thing, { minLength: 1, maxLength: 8 }),
        (landed, things) => {
          fc.pre(things.some((each) => each.plan === 'keep'))
          const split = splitLot(
            'CAD',
            landed,
            things.map((each, i) => ({ ...each, id: String(i) })),
          )
          expect(
            split.things.reduce(
              (sum, each) => sum + (each.effectiveCost?.amount ?? 0) + each.netResale.amount,
              0,
            ),
          ).toBe(landed)
        },
      ),
    )
  })
})
