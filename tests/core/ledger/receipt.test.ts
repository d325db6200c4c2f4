import { marketPriceLine, marketPriceText } from '#core/ledger/marketPriceText'
import { describe, expect, test } from 'vitest'
import type { AccountInput } from '#core/ledger/account'
import { receipt, type ReceiptLine } from '#core/ledger/receipt'

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
  isThing: true,
  toComeBack: 1000,
  ...change,
})
const input = (change: Partial<AccountInput> = {}): AccountInput => ({
  currency: 'CAD',
  budget: 15_000,
  budgetScope: 'everything',
  state: 'planned',
  entries: [],
  items: [],
  planned: [],
  rebates: [],
  takenOver: 0,
  handedOn: 0,
  hours: 0,
  ...change,
})
const planned = (id: string, payNow: number | null, scope: 'core' | 'ready' | 'test' = 'core') => ({
  id,
  scope,
  payNow,
  fault: 500,
  worthToday: 0,
})

describe('receipt', () => {
  test('groups by kind of money; totals are the account’s, cumulative by scope', () => {
    const account = receipt(
      input({
        entries: [{ kind: 'bought', cash: -10_000, scope: 'core' }],
        planned: [planned('b', 10_000, 'ready')],
        rebates: [{ lineId: 'b', amount: 1000, chance: 0.5 }],
      }),
      [
        line({ kind: 'paid' }),
        line({ id: 'b', scope: 'ready', anyoneCanPay: null }),
        line({ id: 'c', scope: 'test', kind: 'owned', payNow: 0, toComeBack: 0 }),
        line({ id: 'fee', kind: 'paid', payNow: 0, isThing: false, anyoneCanPay: null, toComeBack: 0 }),
      ],
      20_000,
    )
    expect(account.byScope.map((each) => each.totals.payNow)).toEqual([10_000, 20_000, 20_000])
    expect(account).toMatchObject({
      left: -5000,
      state: 'stretch',
      totals: {
        payNow: 20_000,
        afterRebates: 19_000,
        expected: 20_000,
        anyoneCanPay: 24_000,
        unknownStreet: 1,
      },
    })
    const { paid, toBuy, owned, toComeBack } = account.groups
    expect([paid.length, toBuy.length, owned.length, toComeBack.length]).toEqual([2, 1, 1, 2])
  })
  test('the budget’s edge is within, the stretch’s edge is stretch, past it over, and unknown is none of them', () => {
    const state = (payNow: number | null) =>
      receipt(input({ budget: 100, planned: [planned('a', payNow)] }), [], 200).state
    expect([state(100), state(200), state(201), state(null)]).toEqual([
      'within',
      'stretch',
      'over',
      'not-known',
    ])
    expect(() => receipt(input({ budget: 2 }), [], 1)).toThrow('stretch')
  })
})

test('P10: of a market price that is known in part, at least so much is said everywhere', () => {
  const said = (anyoneCanPay: number, unknownStreet: number) => {
    const totals = { anyoneCanPay, unknownStreet }
    return [marketPriceText(totals, 'CAD'), marketPriceLine(totals, 'CAD')]
  }
  expect(said(514_72, 0)).toEqual(['514.72', '514.72'])
  expect(said(514_72, 2)).toEqual(['at least 514.72', 'at least 514.72 (2 without a street price)'])
  expect(said(0, 3)).toEqual([null, 'not known (3 without a street price)'])
})
