import { describe, expect, test } from 'vitest'
import { splitLot } from '#core/supply/lots/splitLot'
import { convertAmount } from '#core/money/rates'
import { landedCost, pickupCost, type Order } from '#core/supply/landed/landedCost'
import type { Code } from '#core/supply/landed/codes'
import type { Rebate } from '#core/supply/landed/rebates'

/** Twenty purchases calculated by hand. Amounts in cents; the calculation stands above each. */

const today = '2026-10-31'
const order = (change: Partial<Order>): Order => ({
  currency: 'CAD',
  asOf: today,
  source: { taxPercent: 0, taxOnShipping: false, shipping: { kind: 'none', amount: 0 } },
  items: [{ id: 'a', role: 'cpu', price: 10_000, quantity: 1 }],
  codes: [],
  rebates: [],
  extras: [],
  ...change,
})
const shop = (amount: number, freeFrom?: number, taxPercent = 13, taxOnShipping = true) => ({
  taxPercent,
  taxOnShipping,
  shipping: { kind: 'per-order' as const, amount, ...(freeFrom === undefined ? {} : { freeFrom }) },
})
const item = (id: string, price: number, role = 'cpu', quantity = 1) => ({ id, role, price, quantity })
const code = (id: string, kind: 'percent' | 'fixed', value: number, change: Partial<Code> = {}): Code => ({
  id,
  kind,
  value,
  scope: {},
  stackable: true,
  ...change,
})
const rebate = (change: Partial<Rebate> = {}): Rebate => ({
  id: 'r',
  amount: 1000,
  claimBy: '2026-11-30',
  state: 'to-claim',
  ...change,
})
const totals = (change: Partial<Order>) => {
  const { payNow, afterRebates, expected, codesUsed } = landedCost(order(change))
  return { payNow: payNow.amount, afterRebates: afterRebates.amount, expected: expected.amount, codesUsed }
}

describe('worked cases', () => {
  test.each<[string, Partial<Order>, Partial<ReturnType<typeof totals>>]>([
    // 1. 99.99 < 100.00, so shipping stays: (99.99 + 8.90) · 1.13 = 123.0457
    [
      'threshold missed by a cent',
      { source: shop(890, 10_000), items: [item('a', 9999)] },
      { payNow: 12_305 },
    ],
    // 2. 100.00 reaches it: 100.00 · 1.13
    ['threshold just reached', { source: shop(890, 10_000) }, { payNow: 11_300 }],
    // 3. 10 % takes 100.00 to 90.00, below 100.00: (90.00 + 8.90) · 1.13 = 111.757 < 113.00
    [
      'a code that loses free shipping and still pays',
      { source: shop(890, 10_000), codes: [code('ten', 'percent', 10)] },
      { payNow: 11_176, codesUsed: ['ten'] },
    ],
    // 4. 2 % takes 100.00 to 98.00: (98.00 + 8.90) · 1.13 = 120.797 > 113.00, so it is left out
    [
      'a code that costs more than it brings',
      { source: shop(890, 10_000), codes: [code('two', 'percent', 2)] },
      { payNow: 11_300, codesUsed: [] },
    ],
    // 5. percent before fixed: 100.00 − 10 % = 90.00, − 15.00 = 75.00
    [
      'stackable: percent first',
      { codes: [code('five', 'fixed', 1500), code('ten', 'percent', 10)] },
      { payNow: 7500, codesUsed: ['five', 'ten'] },
    ],
    // 6. one that is not stackable alone (30.00) beats both stackable ones (15.00 + 10.00)
    [
      'one alone beats two together',
      {
        codes: [
          code('a', 'fixed', 1500),
          code('b', 'fixed', 1000),
          code('alone', 'fixed', 3000, { stackable: false }),
        ],
      },
      { payNow: 7000, codesUsed: ['alone'] },
    ],
    // 7. 20 % of 100.00 would be 20.00, capped at 12.00
    ['a capped percent', { codes: [code('cap', 'percent', 20, { cap: 1200 })] }, { payNow: 8800 }],
    // 8. minimum spend 100.01 on 100.00: not reached
    [
      'a minimum spend missed',
      { codes: [code('min', 'fixed', 2000, { minSpend: 10_001 })] },
      { payNow: 10_000, codesUsed: [] },
    ],
    // 9. only on memory: 10 % of 40.00 = 4.00, items 100.00 + 40.00
    [
      'a code for one role',
      {
        items: [item('a', 10_000), item('m', 4000, 'memory')],
        codes: [code('mem', 'percent', 10, { scope: { role: 'memory' } })],
      },
      { payNow: 13_600 },
    ],
    // 10. ended yesterday
    [
      'a code past its day',
      { codes: [code('late', 'fixed', 2000, { validUntil: '2026-10-30' })] },
      { payNow: 10_000, codesUsed: [] },
    ],
    // 11. tax on 100.00 alone: 13.00; shipping 8.90 untaxed
    ['tax not on shipping', { source: shop(890, undefined, 13, false) }, { payNow: 12_190 }],
    // 12. a rebate in full 10.00, expected 0.85 · 10.00 = 8.50; the tax stays on 100.00
    [
      'a rebate never lowers tax',
      { source: shop(0), rebates: [rebate()] },
      { payNow: 11_300, afterRebates: 10_300, expected: 10_450 },
    ],
    // 13. claim-by has passed unclaimed: nothing comes back
    [
      'a rebate missed',
      { rebates: [rebate({ claimBy: '2026-10-30' })] },
      { payNow: 10_000, afterRebates: 10_000, expected: 10_000 },
    ],
    // 14. claimed in time, the day is past: still open, chance 0.5 given
    [
      'a rebate claimed in time',
      { rebates: [rebate({ claimBy: '2026-10-30', state: 'claimed', chance: 0.5 })] },
      { afterRebates: 9000, expected: 9500 },
    ],
    // 15. trade-in credit paid later: 39.00 off in full, 33.15 expected
    ['a trade-in credit', { rebates: [rebate({ amount: 3900 })] }, { afterRebates: 6100, expected: 6685 }],
    // 16. used, private, 8 % of faults, nothing recovered, hassle 8.00: 0.08 · (100.00 + 8.00) = 8.64
    [
      'fault loss of a private sale',
      { items: [{ ...item('a', 10_000), faultProbability: 0.08, recoveredShare: 0 }], hassle: 800 },
      { payNow: 10_000, expected: 10_864 },
    ],
    // 17. one trip for two: 2 · 14 km at 0.40 + 3.00 parking + 1 h at 12.00 = 26.20, once for both
    [
      'a trip shared by two pickups',
      {
        items: [item('a', 10_000), item('b', 5000)],
        pickup: { km: 28, perKm: 40, fare: 300, hours: 1, perHour: 1200 },
      },
      { payNow: 17_620 },
    ],
    // 18. import: duty 5 % and tax 13 % from 60.00 on: 100.00 + 5.00 + 0.13 · 105.00 = 118.65
    [
      'duty, and tax on the duty',
      { import: { dutyPercent: 5, taxPercent: 13, freeUnder: 6000 } },
      { payNow: 11_865 },
    ],
    // 19. a donor with an adapter and a licence it makes necessary: 82.00 + 9.00 + 24.00
    [
      'a donor with what it makes necessary',
      {
        items: [item('d', 8200, 'donor')],
        extras: [
          { label: 'adapter', amount: 900 },
          { label: 'licence', amount: 2400 },
        ],
      },
      { payNow: 11_500 },
    ],
    // 20. card fee 2.5 % on items, shipping and tax: (100.00 + 8.90) · 1.13 = 123.06 (tax 14.157 → 14.16); 2.5 % of
    // 123.06 = 3.0765 → 3.08
    [
      'a fee on everything before it',
      { source: { ...shop(890), paymentFeePercent: 2.5 } },
      { payNow: 12_614 },
    ],
  ])('%s', (_, change, expected) => expect(totals(change)).toMatchObject(expected))

  test('the trip of case 17 by itself', () =>
    expect(pickupCost({ km: 28, perKm: 40, fare: 300, hours: 1, perHour: 1200 })).toBe(2620))
  test('a lot with an unknown thing: it is kept at its lowest plausible part, the rest pays for it', () => {
    // landed 120.00; sold on: 0.9 · (60.00 · 0.87 − 5.00) = 42.48; kept at 80.00 and 20.00 share 77.52 as 4 : 1 = 62.016, 15.504
    const split = splitLot('CAD', 12_000, [
      { id: 'cpu', streetPrice: 8000, plan: 'keep' },
      { id: 'unknown', streetPrice: 2000, plan: 'keep' },
      { id: 'card', streetPrice: 6000, plan: 'resell', feePercent: 13, shipping: 500 },
    ])
    expect(split.things.map((thing) => thing.effectiveCost?.amount ?? thing.netResale.amount)).toEqual([
      6202, 1550, 4248,
    ])
  })
  test('another currency: 899.00 SEK and 79.00 postage at 0.1321', () => {
    // 978.00 · 0.1321 = 129.1938
    expect(
      convertAmount(
        landedCost(order({ currency: 'SEK', items: [item('a', 89_900)], source: shop(7900, undefined, 0) }))
          .payNow.amount,
        'SEK',
        'CAD',
        '0.1321',
      ),
    ).toBe(12_919)
  })
})
