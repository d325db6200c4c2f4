import { describe, expect, test } from 'vitest'
import { isCurrency, minorDigits, minorPerUnit } from '#core/money/currencies'
import { roundAmount, roundHalfAway } from '#core/money/decimal'
import { money, subtractMoney } from '#core/money/money'
import { convertAmount, convertBack, noRate } from '#core/money/rates'
import Big from 'big.js'

describe('currencies', () => {
  test.each([
    ['CAD', 2, 100],
    ['JPY', 0, 1],
    ['KWD', 3, 1000],
    ['SEK', 2, 100],
  ])('%s has %i places', (currency, digits, perUnit) => {
    expect(isCurrency(currency)).toBe(true)
    expect(minorDigits(currency)).toBe(digits)
    expect(minorPerUnit(currency)).toBe(perUnit)
  })
  test('what is no code is refused by name', () => {
    expect(isCurrency('XQZ')).toBe(false)
    expect(() => minorDigits('XQZ')).toThrow(
      '"XQZ" is not a currency code; use a three-letter code such as CAD',
    )
  })
  test('converting across places and back again: 129.50 CAD at 110.25 is 14 277 yen', () => {
    expect(convertAmount(12_950, 'CAD', 'JPY', '110.25')).toBe(14_277)
    expect(convertAmount(12_950, 'CAD', 'KWD', '0.225')).toBe(29_138)
    expect(convertBack(14_277, 'CAD', 'JPY', '110.25')).toBe(12_950)
    expect(noRate('2026-10-31', 'CAD', 'JPY')).toBe(
      'no exchange rate from CAD to JPY on or before 2026-10-31',
    )
  })
  test('halves go away from zero, never to minus zero', () => {
    expect([2.5, -2.5, 0.4, -0.4].map(roundHalfAway)).toEqual([3, -3, 0, 0])
    expect(['2.5', '-2.5', '-0.4'].map((each) => roundAmount(new Big(each)))).toEqual([3, -3, 0])
  })
  test('two currencies do not subtract', () => {
    expect(subtractMoney(money(500, 'CAD'), money(120, 'CAD'))).toEqual({ amount: 380, currency: 'CAD' })
    // @ts-expect-error CAD less SEK does not compile
    expect(() => subtractMoney(money(500, 'CAD'), money(1, 'SEK'))).toThrow('cannot add CAD and SEK')
  })
})
