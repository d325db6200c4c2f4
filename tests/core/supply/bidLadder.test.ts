import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { chance as makeChance } from '../../../demo/random'
import { bidLadder, type Auction, type BidQuestion } from '#core/supply/bids/bidLadder'

const auction = (id: string, endsIn: number, some: Partial<Auction> = {}): Auction => ({
  id,
  endsIn,
  least: 0,
  besides: 0,
  ...some,
})
const question = (some: Partial<BidQuestion> = {}): BidQuestion => ({
  auctions: [auction('a', 1), auction('b', 3)],
  prices: [8000, 12_000],
  weights: [1, 1],
  otherwise: 11_000,
  perDay: 0,
  ...some,
})

describe('auctions that end one after another', () => {
  test('by hand: 110.00 on the last, expected 95.00; so 95.00 on the first, expected 87.50', () => {
    const { rungs, expected, chance } = bidLadder(question())
    expect(rungs.map(({ id, most, expected: from }) => [id, most, from])).toEqual([
      ['a', 9500, 8750],
      ['b', 11_000, 9500],
    ])
    expect([expected, chance]).toEqual([8750, 0.75])
  })

  test('waiting costs: the earlier one is worth more by the days between', () => {
    expect(bidLadder(question({ perDay: 100 })).rungs[0]!.most).toBe(9700)
  })

  test('what stands higher already is no bargain any more, and one past every sale goes for what it stands at', () => {
    const stands = bidLadder(question({ auctions: [auction('a', 1, { least: 9000 })] }))
    // only the 120.00 are left: lost
    expect(stands.rungs[0]).toMatchObject({ chance: 0, expected: 11_000 })
    const past = bidLadder(question({ auctions: [auction('a', 1, { least: 12_500 })], otherwise: 13_000 }))
    expect(past.rungs[0]).toMatchObject({ chance: 1, expected: 12_500 })
  })

  test('no auction: what it costs otherwise; no sale known: what it stands at', () => {
    expect(bidLadder(question({ auctions: [] }))).toEqual({ rungs: [], expected: 11_000, chance: 0 })
    expect(
      bidLadder(question({ prices: [], weights: [], auctions: [auction('a', 1, { least: 7000 })] })).expected,
    ).toBe(7000)
  })

  test('agrees with bidding a hundred thousand times, within 2 %', () => {
    const draw = makeChance(311)
    const prices = Array.from({ length: 60 }, () => Math.round(13_000 * Math.exp(0.15 * draw.normal())))
    const weights = prices.map(() => 0.2 + draw.whole(0, 80) / 100)
    const asked = question({
      auctions: [
        auction('a', 1, { least: 9000 }),
        auction('b', 2, { besides: 600, least: 11_500 }),
        auction('c', 2),
        auction('d', 6, { least: 12_000, besides: -300 }),
      ],
      prices,
      weights,
      otherwise: 13_400,
      perDay: 40,
    })
    const ladder = bidLadder(asked)
    const pick = (least: number, besides: number) => {
      const open = prices
        .map((price, at) => [price + besides, weights[at]!] as const)
        .filter(([cost]) => cost >= least)
      return draw.weighted(open.map(([cost, weight]) => [cost, weight] as const))
    }
    const [rounds, ends] = [100_000, new Map(asked.auctions.map((each) => [each.id, each]))]
    let [sum, won] = [0, 0]
    for (let round = 0; round < rounds; round += 1) {
      let paid: number | null = null
      let day = ladder.rungs[0]!.endsIn
      for (const rung of ladder.rungs) {
        const { least, besides } = ends.get(rung.id)!
        sum += asked.perDay * (rung.endsIn - day)
        day = rung.endsIn
        const others = pick(least, besides)
        if (others <= rung.most) {
          paid = others
          break
        }
      }
      if (paid !== null) won += 1
      sum += paid ?? asked.otherwise
    }
    expect(Math.abs(sum / rounds / ladder.expected - 1)).toBeLessThan(0.02)
    expect(Math.abs(won / rounds - ladder.chance)).toBeLessThan(0.02)
  })

  test('never above what it costs otherwise with the wait; one more auction never makes it dearer', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1000, max: 30_000 }), { minLength: 1, maxLength: 30 }),
        fc.array(
          fc.record({ endsIn: fc.integer({ min: 0, max: 20 }), least: fc.integer({ min: 0, max: 30_000 }) }),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        fc.integer({ min: 1000, max: 30_000 }),
        (prices, list, otherwise) => {
          const auctions = list.map((each, at) => auction(`a${at}`, each.endsIn, { least: each.least }))
          const asked = question({ prices, weights: prices.map(() => 1), auctions, otherwise })
          const { expected, rungs } = bidLadder(asked)
          expect(expected).toBeLessThanOrEqual(otherwise + 1e-6)
          for (const rung of rungs) expect(rung.most).toBeLessThanOrEqual(otherwise)
          // the earlier the auction, the less: there is more to come
          for (let at = 1; at < rungs.length; at += 1)
            expect(rungs[at - 1]!.most).toBeLessThanOrEqual(rungs[at]!.most)
          const fewer = bidLadder({ ...asked, auctions: auctions.slice(1) })
          expect(expected).toBeLessThanOrEqual(fewer.expected + 1e-6)
        },
      ),
      { numRuns: 300 },
    )
  })
})
