import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { customaryStep, roundDownCustomary } from '#core/supply/haggle/customaryStep'
import { haggleSheet, walkAwayForResale } from '#core/supply/haggle/haggleSheet'
import { highestPriceWithin } from '#core/supply/haggle/highestPriceWithin'
import { affordableCombinations } from '#core/supply/haggle/openOffers'
import { otherWays } from '#core/supply/haggle/otherWays'
import type { Way } from '#core/supply/ways/way'
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
  const costs = { a: 60, b: 50, c: 45, d: 10 }
  const offers = (['a', 'b', 'c'] as const).map((id, at) => ({ id, worth: [90, 70, 50][at]! }))
  type Offers = readonly { readonly id: string }[]
  const within = (budget: number) => (taken: Offers) => {
    const payNow = taken.reduce((sum, { id }) => sum + costs[id as keyof typeof costs], 0)
    return { payNow, left: budget - payNow }
  }
  const shown = (list: readonly { offers: Offers; cost: number; left: number; worth: number | null }[]) =>
    list.map(({ offers: of, cost, left, worth }) => [of.map(({ id }) => id).join(''), cost, left, worth])
  test('every combination one budget bears, worth most first', () => {
    expect(shown(affordableCombinations(offers, within(110)))).toEqual([
      ['ab', 110, 0, 160],
      ['ac', 105, 5, 140],
      ['bc', 95, 15, 120],
      ['a', 60, 50, 90],
      ['b', 50, 60, 70],
      ['c', 45, 65, 50],
    ])
    expect(affordableCombinations(offers, within(10))).toEqual([])
  })
  test('P7: what does not go together is no combination; what is worth nobody knows stands last', () => {
    const unknown = { id: 'd', worth: null }
    const apart = (taken: Offers) => (taken.length > 1 ? { payNow: null, left: 500 } : within(110)(taken))
    expect(shown(affordableCombinations([unknown, ...offers.slice(0, 1)], apart))).toEqual([
      ['a', 60, 50, 90],
      ['d', 10, 100, null],
    ])
    expect(affordableCombinations(offers, () => null)).toEqual([])
  })
})

describe('otherWays', () => {
  const way = (id: string, partId: string, expected: number, more: Partial<Way> = {}): Way => ({
    id,
    kind: 'hunt',
    part: { id: partId, role: 'memory', make: '', name: partId, facts: {} },
    others: [],
    condition: 'used',
    payNow: expected,
    afterRebates: expected,
    expected,
    anyoneCanPay: null,
    breaks: [],
    doubt: '',
    from: '',
    url: '',
    grade: 'solid',
    mark: null,
    leadId: null,
    itemId: null,
    ...more,
  })
  test('by hand: one on the shelf is taken once, the second is hunted with its risk; a share of what is incomplete', () => {
    const ways = [way('h', 'kit', 3120), way('s', 'kit', 0, { kind: 'item' }), way('c', 'card', 10_000)]
    const kits = (quantity: number) => otherWays([{ partId: 'kit', quantity, share: 1 }], ways)!
    expect([kits(1).amount, kits(2).amount, kits(3).amount]).toEqual([0, 3120, 6240])
    expect(kits(2).ways.map(({ id }) => id)).toEqual(['s', 'h'])
    expect(otherWays([{ partId: 'card', quantity: 1, share: 0.94 }], ways)!.amount).toBe(9400)
  })
  test('what cannot be taken is no way, and a thing without one leaves nothing to hold against', () => {
    const ways = [
      way('d', 'kit', 10, { doubt: 'damaged' }),
      way('l', 'kit', 20, { others: [way('', 'x', 1).part] }),
    ]
    expect(otherWays([{ partId: 'kit', quantity: 1, share: 1 }], ways)).toBeNull()
    expect(otherWays([], [])).toEqual({ amount: 0, ways: [] })
  })
})
