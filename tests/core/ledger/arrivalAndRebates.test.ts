import { describe, expect, test } from 'vitest'
import { arrivalChecklist, returnDays } from '#core/ledger/arrival'
import { enteredPrice } from '#core/comparison/adjustments/enteredPrice'
import {
  isRebateOpen,
  rebatesExpected,
  rebatesInFull,
  rebatesOpen,
  type Rebate,
  atRiskOfClaims,
  expectedOfClaims,
} from '#core/supply/landed/rebates'
import { resaleDefaults } from '#core/assumptions/groups/resale'

describe('arrival', () => {
  test('the checklist of a lot names each thing to look at once', () => {
    const list = arrivalChecklist(['supply', 'cooler', 'supply'])
    expect(list.filter((line) => line === 'fan spins')).toHaveLength(1)
    expect(list).toContain('starts a PC and runs it under load')
  })
  test('return windows are assumptions; without protection there is none', () => {
    expect(['none', 'market', 'returns', 'warranty'].map((each) => returnDays(each as 'none'))).toEqual([
      0, 14, 30, 14,
    ])
    expect(returnDays('returns', { ...resaleDefaults, 'returns.returns': 60 })).toBe(60)
  })
})

describe('rebates by their own chance and state', () => {
  const rebate = (state: Rebate['state'], chance?: number): Rebate => ({
    id: state,
    amount: 1500,
    claimBy: '2026-11-10',
    state,
    ...(chance === undefined ? {} : { chance }),
  })
  test.each([
    ['to-claim', '2026-11-10', true],
    ['to-claim', '2026-11-11', false],
    ['claimed', '2026-12-24', true],
    ['paid', '2026-11-01', false],
    ['refused', '2026-11-01', false],
    ['missed', '2026-11-01', false],
  ] as const)('%s on %s is open: %s', (state, today, open) =>
    expect(isRebateOpen(rebate(state), today)).toBe(open),
  )
  test('of open ones what is likely to come and what is not, each rounded once over all', () => {
    const claims = [
      { amount: 1001, chance: 0.85 },
      { amount: 333, chance: 0.5 },
    ]
    // 850.85 + 166.5; 150.15 + 166.5
    expect([expectedOfClaims(claims), atRiskOfClaims(claims), expectedOfClaims([])]).toEqual([1017, 317, 0])
  })
  test('expected: paid in full, open by its chance, refused not at all', () => {
    const list = [rebate('paid'), rebate('claimed', 0.5), rebate('to-claim'), rebate('refused', 1)]
    expect(rebatesExpected(list, '2026-11-01').toNumber()).toBe(1500 + 750 + 1275)
    expect(rebatesOpen(list, '2026-11-01')).toBe(3000)
    expect(rebatesInFull(list, '2026-11-01')).toBe(4500)
  })
  test('a build enters the scales with its rebates as they are expected, not at a fixed chance', () => {
    const line = { isOwned: false, payNow: 15_819, anyoneCanPay: 15_819 }
    expect(enteredPrice({ ...line, rebatesExpected: 1275 }, 'anyone')).toBe(14_544)
    expect(enteredPrice({ ...line, rebatesExpected: 300 }, 'anyone')).toBe(15_519)
    // a lucky find: anyone pays the street price, and has no rebate
    expect(enteredPrice({ ...line, anyoneCanPay: 18_000, rebatesExpected: 1275 }, 'anyone')).toBe(18_000)
    expect(enteredPrice({ ...line, anyoneCanPay: 18_000, rebatesExpected: 1275 }, 'paid')).toBe(14_544)
    expect(enteredPrice({ ...line, isOwned: true, anyoneCanPay: 9000, rebatesExpected: 0 }, 'paid')).toBe(
      9000,
    )
  })
})
