import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { joinedOrder } from '#core/supply/orders/joinedOrder'
import { landedCost, type Order } from '#core/supply/landed/landedCost'

const order = (id: string, price: number, change: Partial<Order> = {}): Order => ({
  currency: 'CAD',
  asOf: '2026-10-31',
  source: {
    taxPercent: 13,
    taxOnShipping: true,
    shipping: { kind: 'per-order', amount: 890, freeFrom: 10_000 },
  },
  items: [{ id, role: 'cpu', price, quantity: 1 }],
  codes: [],
  rebates: [],
  extras: [],
  ...change,
})

describe('joinedOrder', () => {
  test('one shipping instead of two, and what is missing to none', () => {
    // separately (40.00 + 8.90) · 1.13 = 55.26 and (50.00 + 8.90) · 1.13 = 66.56; together (90.00 + 8.90) · 1.13 = 111.76
    expect(joinedOrder([order('a', 4000), order('b', 5000)])).toMatchObject({
      separately: 12_182,
      saved: 1006,
      freeShippingGap: 1000,
      shares: [4967, 6209],
    })
    expect(joinedOrder([order('a', 4000), order('b', 6000)])).toMatchObject({
      freeShippingGap: null,
      landed: { payNow: { amount: 11_300 } },
    })
  })
  test('a code that stands in both is used once', () => {
    const codes = [{ id: 'ten', kind: 'fixed' as const, value: 1000, scope: {}, stackable: true }]
    expect(joinedOrder([order('a', 20_000, { codes }), order('b', 20_000, { codes })])).toMatchObject({
      saved: -1130,
      landed: { codesUsed: ['ten'] },
    })
  })
  test(
    'the shares add up to the joint order, to the cent; one order alone is itself; the ' +
      'order of the orders does not matter',
    () => {
      fc.assert(
        fc.property(
          fc.array(fc.integer({ min: 1, max: 30_000 }), { minLength: 1, maxLength: 6 }),
          (prices) => {
            const orders = prices.map((price, index) => order(String(index), price))
            const joint = joinedOrder(orders)
            expect(joint.shares.reduce((sum, share) => sum + share, 0)).toBe(joint.landed.payNow.amount)
            expect(joint.expectedShares.reduce((sum, share) => sum + share, 0)).toBe(
              joint.landed.expected.amount,
            )
            expect(joint.separately - joint.saved).toBe(joint.landed.payNow.amount)
            expect(joinedOrder([...orders].reverse()).landed.payNow).toEqual(joint.landed.payNow)
            expect(joinedOrder([orders[0]!]).landed).toEqual(landedCost(orders[0]!))
          },
        ),
      )
    },
  )
  test('nothing, or two currencies, cannot be joined', () => {
    expect(() => joinedOrder([])).toThrow('no orders to combine')
    expect(() => joinedOrder([order('a', 1), order('b', 1, { currency: 'SEK' })])).toThrow(
      'different currencies',
    )
  })
})
