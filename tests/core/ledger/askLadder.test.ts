import { expect, test } from 'vitest'
import fc from 'fast-check'
import { askLadder, buyersPerDay, chanceToSell, daysUntilSold, weeksOf } from '#core/ledger/askLadder'
import type { PriceFlow } from '#core/pricing/patience/patience'
import { chance } from '../../../demo/random'

/** One buyer a week who sees it; half of them pay 400.00, half 500.00. */
const flow: PriceFlow = { prices: [400_00, 500_00], weights: [1, 1], perDay: 2 / 7, catchShare: 0.5 }
const net = (price: number) => price

test('by hand: everybody pays 400.00, half pay 500.00', () => {
  expect(buyersPerDay(flow, 400_00)).toBeCloseTo(1 / 7)
  expect(buyersPerDay(flow, 400_01)).toBeCloseTo(0.5 / 7)
  expect(buyersPerDay(flow, 500_01)).toBe(0)
  expect(chanceToSell(flow, 500_00, 7)).toBeCloseTo(1 - Math.exp(-0.5))
  expect(daysUntilSold(flow, 500_00)).toBeCloseTo(14 * Math.LN2)
  expect(daysUntilSold(flow, 500_01)).toBeNull()
})

test.each([
  [42, 6],
  [43, 7],
  [0, 0],
])('%i days begin %i weeks', (days, weeks) => expect(weeksOf(days)).toBe(weeks))

test('by hand: two weeks, parted out for 100.00: ask 500.00, then 400.00; expected 372.41, not under 289.64', () => {
  const rungs = askLadder({ flow, weeks: 2, net, otherwise: 100_00, perWeek: 0 })
  expect(rungs.map(({ price, expected, least }) => [price, Math.round(expected), Math.round(least)])).toEqual(
    [
      [500_00, 372_41, 289_64],
      [400_00, 289_64, 100_00],
    ],
  )
  expect(askLadder({ flow: { ...flow, prices: [] }, weeks: 2, net, otherwise: 0, perWeek: 0 })).toEqual([])
})

const question = fc.record({
  prices: fc.array(fc.integer({ min: 10, max: 900 }), { minLength: 1, maxLength: 4 }),
  perDay: fc.double({ min: 0.01, max: 0.6, noNaN: true }),
  weeks: fc.integer({ min: 1, max: 3 }),
  otherwise: fc.integer({ min: 0, max: 500 }),
  perWeek: fc.integer({ min: 0, max: 20 }),
})

test('no other way of asking, week by week, brings more; what is asked never rises', () => {
  fc.assert(
    fc.property(question, ({ prices, perDay, weeks, otherwise, perWeek }) => {
      prices.sort((a, b) => a - b)
      const of: PriceFlow = { prices, weights: prices.map(() => 1), perDay, catchShare: 1 }
      const rungs = askLadder({ flow: of, weeks, net, otherwise, perWeek })
      const bringing = (asks: readonly number[]): number => {
        const [ask, ...rest] = asks
        if (ask === undefined) return otherwise
        const sells = chanceToSell(of, ask, 7)
        return sells * ask + (1 - sells) * (bringing(rest) - perWeek)
      }
      const all = (left: number): number[][] =>
        left === 0 ? [[]] : prices.flatMap((price) => all(left - 1).map((rest) => [price, ...rest]))
      const best = Math.max(...all(weeks).map(bringing))
      expect(rungs[0]!.expected).toBeCloseTo(best, 6)
      expect(bringing(rungs.map(({ price }) => price))).toBeCloseTo(best, 6)
      if (perWeek === 0 && otherwise <= prices[0]!)
        for (let at = 1; at < rungs.length; at += 1)
          expect(rungs[at]!.price).toBeLessThanOrEqual(rungs[at - 1]!.price)
    }),
  )
})

test('agrees with selling a hundred thousand times, within 1 %', () => {
  const draw = chance(7)
  const rungs = askLadder({ flow, weeks: 4, net, otherwise: 250_00, perWeek: 5_00 })
  const runs = 100_000
  let total = 0
  for (let run = 0; run < runs; run += 1) {
    let waited = 0
    let brought: number | null = null
    for (const { price } of rungs) {
      // buyers of the week, one after another, each with what they pay at most
      for (let at = wait(); at < 7 && brought === null; at += wait())
        if (flow.prices[draw.whole(0, 1)]! >= price) brought = price
      if (brought !== null) break
      waited += 5_00
    }
    total += (brought ?? 250_00) - waited
  }
  expect(Math.abs(total / runs / rungs[0]!.expected - 1)).toBeLessThan(0.01)

  function wait(): number {
    return -Math.log(1 - draw.whole(0, 999_999) / 1_000_000) * 7
  }
})
