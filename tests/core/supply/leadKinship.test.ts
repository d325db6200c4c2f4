import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findSameListings, type ListingToCompare } from '#core/supply/leads/sameListing'
import { daysWaiting } from '#core/supply/risk/silence'
import { nearestSubstitutes } from '#core/supply/leads/substitutes'
import { isTooCheap, tooCheapBelow } from '#core/supply/risk/tooCheap'
import { beyondHousehold } from '#core/supply/landed/householdLimits'
import { tripShares } from '#core/supply/orders/sharedTrip'
import { tradeInSheet } from '#core/supply/landed/tradeIn'

const listing = (id: string, change: Partial<ListingToCompare> = {}): ListingToCompare => ({
  id,
  sourceId: 'barnstall',
  title: 'Tarn 640 8 GB card works well',
  price: 10_000,
  currency: 'CAD',
  place: 'Marrow Quay',
  listedOn: '2026-10-01',
  vanishedOn: null,
  things: 'tarn-640-8*1',
  ...change,
})

describe('listings that repeat each other', () => {
  test('a double, one listed again with its drop, and three that are not', () => {
    expect(
      findSameListings([
        listing('a'),
        listing('b', { listedOn: '2026-10-03', title: 'TARN 640 8 GB card, works well!' }),
        listing('c', { id: 'c', things: 'stook-31*1', vanishedOn: '2026-10-10' }),
        listing('d', { things: 'stook-31*1', listedOn: '2026-10-20', price: 9000 }),
        listing('e', { listedOn: '2026-10-05', place: 'Elsewhere' }),
        listing('f', { listedOn: '2026-10-06', title: 'Another seller, other words altogether' }),
        listing('g', { things: '' }),
      ]),
    ).toEqual([
      { id: 'b', earlierId: 'a', kind: 'double', change: 0 },
      { id: 'd', earlierId: 'c', kind: 'listed-again', change: -1000 },
    ])
  })
  test('the order of the list does not matter', () => {
    const all = ['a', 'b', 'c', 'd'].map((id, index) => listing(id, { listedOn: `2026-10-0${index + 1}` }))
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: 4 }), (shuffled) => {
        expect(findSameListings(shuffled)).toEqual(findSameListings(all))
      }),
    )
  })
})

test('too cheap: below the weighted 5 % quantile, with five comps at least', () => {
  // ten equal weights: the position of the first is 0.05, so the quantile is the lowest price
  const kept = Array.from({ length: 10 }, (_, index) => ({ unitPrice: 1000 + 100 * index, weight: 1 }))
  expect(tooCheapBelow(kept)).toBe(1000)
  // twenty: positions 0.025 and 0.075, half-way between the first two
  expect(
    tooCheapBelow(Array.from({ length: 20 }, (_, index) => ({ unitPrice: 1000 + 100 * index, weight: 1 }))),
  ).toBe(1050)
  expect(tooCheapBelow(kept.slice(0, 4))).toBeNull()
  expect([isTooCheap(999, 1000), isTooCheap(1000, 1000), isTooCheap(1, null)]).toEqual([true, false, false])
})

test('a seller who owes a word is waited for from the last thing I said', () => {
  const today = '2026-10-31'
  expect(daysWaiting(null, [], today)).toBeNull()
  expect(daysWaiting('2026-10-27', [], today)).toBe(4)
  expect(daysWaiting('2026-10-27', [{ by: 'seller', day: '2026-10-28' }], today)).toBeNull()
  expect(
    daysWaiting(
      '2026-10-27',
      [
        { by: 'seller', day: '2026-10-28' },
        { by: 'me', day: '2026-10-29' },
      ],
      today,
    ),
  ).toBe(2)
  expect(daysWaiting('2026-10-27', [{ by: 'seller', day: '2026-10-27' }], today)).toBeNull()
})

test('substitutes: same roles, nearest in worth, none that stops more', () => {
  const gone = { id: 'gone', roles: 'graphics', cost: 10_000, worth: 100 }
  const others = [
    { id: 'weak', roles: 'graphics', cost: 6000, worth: 60 },
    { id: 'near', roles: 'graphics', cost: 11_000, worth: 104 },
    { id: 'long', roles: 'graphics', cost: 9000, worth: 100 },
    { id: 'cpu', roles: 'cpu', cost: 1, worth: 100 },
  ]
  const found = nearestSubstitutes(gone, 0, others, (id) => (id === 'long' ? 1 : 0))
  expect(found.map(({ id, more }) => [id, more])).toEqual([
    ['near', 1000],
    ['weak', -4000],
  ])
  expect(found[0]!.change).toBeCloseTo(0.04, 12)
  expect(nearestSubstitutes(gone, 1, others, (id) => (id === 'long' ? 1 : 0))[0]!.id).toBe('long')
})

test('a trip is shared to the cent', () => {
  // 41 km at 0.55 and 3.00 fare: 25.55, among three
  const trip = { km: 41, perKm: 55, fare: 300, hours: 0, perHour: 0 }
  expect(tripShares(trip, 3)).toEqual([852, 852, 851])
  fc.assert(
    fc.property(fc.nat(500), fc.integer({ min: 1, max: 9 }), (km, stops) => {
      expect(tripShares({ ...trip, km }, stops).reduce((sum, share) => sum + share, 0)).toBe(55 * km + 300)
    }),
  )
})

test('a trade-in against one’s own sale: 39 now, or 52 after fees in 12 days', () => {
  const rebate = { id: 'r', amount: 3900, claimBy: '2026-11-30', state: 'to-claim' as const, chance: 1 }
  // 68.00 less 13 % is 59.16, less 7.16 postage is 52.00; with the chance that it sells 46.80
  const sheet = tradeInSheet(
    rebate,
    { typical: 6800, feePercent: 13, shipping: 716, perDay: 1 / 12 },
    '2026-10-31',
  )
  expect(sheet).toEqual({
    credit: 3900,
    creditExpected: 3900,
    ownSale: 5200,
    ownSaleExpected: 4680,
    days: 12,
    better: 'own-sale',
  })
  expect(
    tradeInSheet(rebate, { typical: 5000, feePercent: 13, shipping: 716, perDay: 0 }, '2026-10-31'),
  ).toMatchObject({ better: 'trade-in', days: null })
  expect(
    tradeInSheet(rebate, { typical: 0, feePercent: 0, shipping: 0, perDay: 0 }, '2026-12-01').credit,
  ).toBe(0)
})

test('a household is paid as often as its campaign says, what is paid first', () => {
  const claim = (id: string, change = {}) => ({
    id,
    campaign: 'Autumn',
    perHousehold: 1,
    claimBy: '2026-11-30',
    state: 'to-claim' as const,
    ...change,
  })
  expect([
    ...beyondHousehold([claim('a'), claim('b', { state: 'claimed' }), claim('c', { campaign: 'other' })]),
  ]).toEqual(['a'])
  expect([...beyondHousehold([claim('a'), claim('b', { state: 'refused' })])]).toEqual([])
  expect([
    ...beyondHousehold([
      claim('late'),
      claim('soon', { claimBy: '2026-11-01', campaign: ' autumn', perHousehold: null }),
    ]),
  ]).toEqual(['late'])
  expect([...beyondHousehold([claim('a', { campaign: '' }), claim('b', { campaign: '' })])]).toEqual([])
})
