import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { assertInRange, type Assumption } from '#core/assumptions/assumption'
import {
  assumptionGroups,
  assumptionsWith,
  defaultAssumptions,
  findAssumption,
} from '#core/assumptions/assumptions'
import { moneyAssumption, moneyGroup } from '#core/assumptions/money'
import { moneySize } from '#core/assumptions/moneySize'
import { riskDefaults } from '#core/assumptions/groups/risk'
import { tableOf } from '#core/assumptions/tableOf'
import { rateTable } from '#core/money/rates'

const every = Object.entries(assumptionGroups).flatMap(([group, { figures }]) =>
  Object.entries(figures as Record<string, Assumption>).map(
    ([key, each]) => [`${group}.${key}`, each] as const,
  ),
)

describe('assumptions', () => {
  test.each(every)(
    '%s has a default in its range, a unit that is known and words for what it does',
    (key, each) => {
      expect(() => assertInRange(each, each.default, key)).not.toThrow()
      expect(['', '%', '×', 'W', 'days', 'months', '°C']).toContain(each.unit)
      expect(each.moves).not.toBe('')
      expect(findAssumption(key)).toBe(each)
    },
  )
  test('the worked example: one figure of one’s own, everything else by default', () => {
    const { risk, ...others } = assumptionsWith({ 'risk.rebateChance': 0.7 })
    const { risk: _risk, ...defaults } = defaultAssumptions
    expect(others).toEqual(defaults)
    expect(risk).toEqual({ ...riskDefaults, rebateChance: 0.7 })
  })
  test.each([
    [{ 'risk.rebateChance': 1.2 }, 'chance that a rebate is paid must be from 0 to 1, not 1.2'],
    [{ 'risk.rebateChance': Number.NaN }, 'not NaN'],
    [{ 'risk.luck': 1 }, 'unknown assumption "risk.luck"'],
    [{ constructor: 1 }, 'unknown assumption "constructor"'],
    [{ 'risk.__proto__': 1 }, 'unknown assumption "risk.__proto__"'],
  ])('refuses %o', (own, message) => {
    expect(() => assumptionsWith(own)).toThrow(message)
  })
  test('a table inside a group is read by its own keys', () => {
    expect(tableOf(riskDefaults, 'used').cpu).toBe(0.02)
    expect(Object.keys(tableOf(riskDefaults, 'recovered'))).toEqual(['none', 'market', 'returns', 'warranty'])
  })
})

describe('moneyAssumption', () => {
  const rates = rateTable([{ date: '2026-10-01', from: 'CAD', to: 'SEK', rate: '7.5' }])
  test.each([
    ['CAD', 800],
    ['SEK', 8000],
    ['JPY', 800],
    ['KWD', 4000],
  ])('by default the cost of hassle per fault in %s is %i minor units', (currency, amount) => {
    expect(moneyAssumption('hassle', currency, undefined, rates, '2026-10-31')).toEqual({
      amount,
      isDefault: true,
    })
  })
  test('an own figure is converted at the dated rate; without one the default stands and says so', () => {
    const own = { amount: '12.00', currency: 'CAD' }
    expect(moneyAssumption('hassle', 'CAD', own, rates, '2026-10-31').amount).toBe(1200)
    expect(moneyAssumption('hassle', 'SEK', own, rates, '2026-10-31')).toEqual({
      amount: 9000,
      isDefault: false,
    })
    expect(moneyAssumption('hassle', 'SEK', own, rates, '2026-09-30').isDefault).toBe(true)
    expect(moneyAssumption('hassle', 'JPY', own, rates, '2026-10-31').isDefault).toBe(true)
  })
  test('every default is a whole number of minor units in every currency there is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Intl.supportedValuesOf('currency')),
        fc.constantFrom(...(Object.keys(moneyGroup) as (keyof typeof moneyGroup)[])),
        (currency, key) => {
          const { amount } = moneyAssumption(key, currency, undefined, rates, '2026-10-31')
          expect(amount).toBeGreaterThan(0)
          // a tariff may be a fraction of a minor unit where the currency has none
          if (key !== 'tariff') expect(Number.isInteger(Math.round(amount * 1e6) / 1e6)).toBe(true)
        },
      ),
    )
  })
  test('a size is an order of magnitude, never a rate', () => {
    expect([moneySize('CAD'), moneySize('SEK'), moneySize('JPY'), moneySize('KWD')]).toEqual([
      100, 1000, 100, 500,
    ])
  })
})
