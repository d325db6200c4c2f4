import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ledgerAccount, type LedgerEntry } from '#core/ledger/ledger'
import { resale } from '#core/ledger/resale'

const entry = (
  id: string,
  day: string,
  kind: LedgerEntry['kind'],
  cash: number,
  choiceId: string | null = null,
  hours = 0,
): LedgerEntry => ({ id, day, kind, cash, hours, choiceId })

describe('ledgerAccount', () => {
  const entries = [
    entry('1', '2026-10-20', 'bought', -12_800, 'lot'),
    entry('2', '2026-10-20', 'travel', -600),
    entry('3', '2026-10-22', 'bought', -7718, 'supply'),
    entry('4', '2026-10-25', 'refunded', 12_800, 'lot'),
    entry('5', '2026-11-01', 'rebate', 1000, 'supply'),
    entry('6', '2026-11-02', 'sold', 4500),
    entry('7', '2026-11-03', 'hours', 0, null, 2.5),
  ]
  test('paid, back, due, to come back and in the end', () => {
    // 128.00 + 6.00 + 77.18 = 211.18 out; 128.00 + 10.00 + 45.00 = 183.00 back
    const account = ledgerAccount(entries, [
      { choiceId: 'supply', stillToPay: 0, toComeBack: 0, anyoneCanPay: 7700 },
      { choiceId: 'card', stillToPay: 13_800, toComeBack: 500, anyoneCanPay: 14_889 },
    ])
    expect(account).toMatchObject({
      paid: 21_118,
      cameBack: 18_300,
      net: 2818,
      due: 13_800,
      toComeBack: 500,
      inTheEnd: 16_118,
      hours: 2.5,
    })
    expect(account.byChoice.get('supply')).toEqual({ net: 6718, anyoneCanPay: 7700, difference: 982 })
    expect(account.byChoice.get('lot')).toEqual({ net: 0, anyoneCanPay: null, difference: null })
    expect(account.compared).toEqual({ net: 6718, anyoneCanPay: 7700 })
    expect(account.running.at(-1)).toEqual({ id: '7', standing: -2818 })
  })
  test('the order of the entries does not matter, and the standing ends at minus the net', () => {
    const some = fc.uniqueArray(
      fc.record({
        id: fc.string({ minLength: 1, maxLength: 4 }),
        day: fc.integer({ min: 1, max: 28 }),
        cash: fc.integer({ min: -90_000, max: 90_000 }),
      }),
      { selector: (each) => each.id },
    )
    fc.assert(
      fc.property(some, (list) => {
        const made = list.map(({ id, day, cash }) =>
          entry(
            id,
            `2026-10-${String(day).padStart(2, '0')}`,
            'correction',
            cash,
            id.length > 2 ? 'x' : null,
          ),
        )
        const account = ledgerAccount(made, [])
        expect(ledgerAccount([...made].reverse(), [])).toEqual(account)
        expect(account.running.at(-1)?.standing ?? 0).toBe(0 - account.net)
      }),
    )
  })
})

describe('resale', () => {
  test('whole against parting out, by hand', () => {
    // parts 200 + 100: whole 300 · 0.9 = 270, less 13 % = 234.90, less 20 = 214.90; one by one (200 · 0.87 − 8) · 0.9 + (100 · 0.87 − 8) · 0.9 = 149.40 + 71.10
    const result = resale({
      parts: [
        { id: 'a', typical: 20_000 },
        { id: 'b', typical: 10_000 },
        { id: 'c', typical: null },
      ],
      cost: 15_000,
      hours: 2,
      whole: { feePercent: 13, shipping: 2000 },
      single: { feePercent: 13, shipping: 800 },
    })
    expect(result.whole).toEqual({
      gross: 27_000,
      net: 21_490,
      profit: 6490,
      marginPercent: expect.closeTo(43.2667, 3),
      perHour: 3245,
      ask: 30_000,
    })
    expect(result.parting).toMatchObject({ gross: 30_000, net: 22_050, profit: 7050, perHour: 3525 })
    expect(result).toMatchObject({ better: 'parting', unknown: ['c'] })
  })
})
