import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { receipt, type ReceiptLine } from '#core/ledger/receipt'

describe('receipt', () => {
  const line = (change: Partial<ReceiptLine> = {}): ReceiptLine => ({
    id: 'a',
    label: 'a',
    role: 'cpu',
    scope: 'core',
    kind: 'lead',
    payNow: 10_000,
    afterRebates: 9000,
    expected: 9500,
    anyoneCanPay: 12_000,
    toComeBack: 1000,
    ...change,
  })
  test('groups by kind of money, totals cumulative by scope', () => {
    const account = receipt(
      'CAD',
      [
        line({ kind: 'paid' }),
        line({ id: 'b', scope: 'ready', anyoneCanPay: null }),
        line({
          id: 'c',
          scope: 'test',
          kind: 'owned',
          payNow: 0,
          afterRebates: 0,
          expected: 0,
          toComeBack: 0,
        }),
      ],
      { budget: 15_000, stretch: 20_000 },
    )
    expect(account.byScope.map((each) => each.totals.payNow)).toEqual([10_000, 20_000, 20_000])
    expect(account).toMatchObject({
      paid: 10_000,
      left: -5000,
      state: 'stretch',
      totals: {
        payNow: 20_000,
        afterRebates: 18_000,
        expected: 19_000,
        anyoneCanPay: 24_000,
        unknownStreet: 1,
      },
    })
    expect([
      account.groups.paid.length,
      account.groups.toBuy.length,
      account.groups.owned.length,
      account.groups.toComeBack.length,
    ]).toEqual([1, 1, 1, 2])
  })
  test("the budget's edge is within, the stretch's edge is stretch, past it over", () => {
    const state = (payNow: number) => receipt('CAD', [line({ payNow })], { budget: 100, stretch: 200 }).state
    expect([state(100), state(200), state(201)]).toEqual(['within', 'stretch', 'over'])
    expect(() => receipt('CAD', [], { budget: 2, stretch: 1 })).toThrow('stretch')
  })
  test('the order of the lines changes no total', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 1e6 }), { maxLength: 10 }), (prices) => {
        const lines = prices.map((payNow, i) =>
          line({ id: String(i), payNow, scope: (['core', 'ready', 'test'] as const)[i % 3]! }),
        )
        const limits = { budget: 1, stretch: 2 }
        expect(receipt('CAD', [...lines].reverse(), limits).byScope).toEqual(
          receipt('CAD', lines, limits).byScope,
        )
      }),
    )
  })
})
