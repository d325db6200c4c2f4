import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { customaryStep, roundDownCustomary } from '#core/supply/haggle/customaryStep'
import { haggleSheet, walkAwayForResale } from '#core/supply/haggle/haggleSheet'
import { highestPriceWithin } from '#core/supply/haggle/highestPriceWithin'
import { affordableCombinations } from '#core/supply/haggle/openOffers'
import { landedCost } from '#core/supply/landed/landedCost'

const plain = (price: number) => price

describe('customary steps', () => {
  test.each([
    [1999, 100, 1900],
    [2000, 100, 2000],
    [13_700, 100, 13_500],
    [20_500, 100, 20_000],
    [99_900, 100, 99_000],
    [123_400, 100, 120_000],
    [1234, 1, 1200],
  ])('%i with %i to the unit goes down to %i', (amount, per, expected) =>
    expect(roundDownCustomary(amount, per)).toBe(expected),
  )
  test('the step follows the value rounded', () =>
    expect(
      [1900, 2000, 19_900, 20_000, 99_900, 100_000].map((each) => customaryStep(each, 100) / 100),
    ).toEqual([1, 5, 5, 10, 10, 50]))
})

describe('haggleSheet', () => {
  test.each([
    // ask 150, patient 130, alternative 140: aim = 130, opening 2·130 − 150 = 110
    [
      'haggle to the patient mark',
      { ask: 15_000, alternative: 14_000, patient: 13_000 },
      { walkAway: 14_000, aim: 13_000, opening: 11_000, advice: 'haggle' },
    ],
    // 2·100 − 160 = 40, but 60 % of 160 = 96: rounded down to 95, below the 60 %
    [
      'never below 60 % but for the rounding',
      { ask: 16_000, alternative: 10_000, patient: 10_000 },
      { aim: 10_000, opening: 9500, advice: 'haggle' },
    ],
    // 60 % of 200 = 120 > 100
    [
      'far apart',
      { ask: 20_000, alternative: 10_000, patient: 10_000 },
      { opening: 10_000, advice: 'far-apart' },
    ],
    [
      'at the aim: take it, or offer the next step down',
      { ask: 10_000, alternative: 12_000, patient: 10_000 },
      { advice: 'take', opening: 9500 },
    ],
    [
      'an odd ask below the aim goes down to its step',
      { ask: 9700, alternative: 12_000, patient: 10_000 },
      { advice: 'take', opening: 9500 },
    ],
    [
      'without a street price the walk-away is the aim',
      { ask: 15_000, alternative: 12_000, patient: null },
      { walkAway: 12_000, aim: 12_000, opening: 9000 },
    ],
    [
      'nothing to hold it against',
      { ask: 15_000, alternative: null, patient: 12_000 },
      { advice: 'not-known', walkAway: null },
    ],
  ] as const)('%s', (_, input, expected) =>
    expect(haggleSheet({ unit: 100, costAt: plain, ...input })).toMatchObject(expected),
  )
  test('P8: a lot is held to what its kept things cost at patient marks, by its own cost', () => {
    // 131.00 asked for a card and a supply, of which the supply brings 45.00: the card alone at 110.08 patient
    const sheet = haggleSheet({
      ask: 13_100,
      unit: 100,
      costAt: (price) => price - 4500,
      alternative: 11_858,
      patient: 11_008,
    })
    expect(sheet).toMatchObject({ walkAway: 16_358, aim: 15_508, advice: 'take' })
  })
  test('a thing that costs more than the alternative at any price is passed', () => {
    expect(
      haggleSheet({
        ask: 5000,
        unit: 100,
        costAt: (price) => price + 13_000,
        alternative: 12_000,
        patient: 12_000,
      }),
    ).toMatchObject({ advice: 'pass', walkAway: null })
  })
  test('meeting half-way from the opening lands at or below the aim, where 60 % of the ask leaves room for it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 200_000 }),
        fc.integer({ min: 500, max: 200_000 }),
        fc.integer({ min: 500, max: 200_000 }),
        (ask, alternative, patient) => {
          const sheet = haggleSheet({ ask, unit: 100, costAt: plain, alternative, patient })
          if (sheet.advice === 'haggle' && 2 * sheet.aim! - ask >= 0.6 * ask)
            expect((sheet.opening! + ask) / 2).toBeLessThanOrEqual(sheet.aim!)
          if (sheet.aim !== null) expect(sheet.aim).toBeLessThanOrEqual(Math.min(sheet.walkAway!, patient))
        },
      ),
    )
  })
  test('a machine to be sold on', () =>
    expect([walkAwayForResale(30_000, 4000, 6000), walkAwayForResale(5000, 4000, 6000)]).toEqual([20_000, 0]))
})

describe('highestPriceWithin', () => {
  const order = (price: number, freeFrom: number, minSpend: number) =>
    landedCost({
      currency: 'CAD',
      asOf: '2026-10-31',
      source: { taxPercent: 13, taxOnShipping: true, shipping: { kind: 'per-order', amount: 990, freeFrom } },
      items: [{ id: 'a', role: 'cpu', price, quantity: 1 }],
      codes: [{ id: 'c', kind: 'fixed', value: 1500, scope: {}, stackable: true, minSpend }],
      rebates: [],
      extras: [],
    }).payNow.amount
  test("is the one found by trying every price, where the cost jumps at free shipping and at a code's minimum spend", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9000 }),
        fc.integer({ min: 500, max: 7000 }),
        fc.integer({ min: 500, max: 7000 }),
        (limit, freeFrom, minSpend) => {
          const costAt = (price: number) => order(price, freeFrom, minSpend)
          let expected: number | null = null
          for (let price = 8000; price >= 0 && expected === null; price -= 1)
            if (costAt(price) <= limit) expected = price
          expect(highestPriceWithin(costAt, limit, 8000, 100)).toBe(expected)
        },
      ),
      { numRuns: 12 },
    )
  })
})

describe('affordableCombinations', () => {
  test('every combination one budget bears, worth most first', () => {
    const offers = [
      { id: 'a', cost: 60, worth: 90 },
      { id: 'b', cost: 50, worth: 70 },
      { id: 'c', cost: 45, worth: 50 },
    ]
    expect(affordableCombinations(offers, 110)).toEqual([
      { ids: ['b', 'a'], cost: 110, left: 0, worth: 160 },
      { ids: ['c', 'a'], cost: 105, left: 5, worth: 140 },
      { ids: ['c', 'b'], cost: 95, left: 15, worth: 120 },
      { ids: ['a'], cost: 60, left: 50, worth: 90 },
      { ids: ['b'], cost: 50, left: 60, worth: 70 },
      { ids: ['c'], cost: 45, left: 65, worth: 50 },
    ])
    expect(affordableCombinations(offers, 10)).toEqual([])
  })
})
