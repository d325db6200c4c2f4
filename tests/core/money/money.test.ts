import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addMoney, money, sumMoney } from '#core/money/money'
import { parseDecimal, percentOf, scaleAmount, toDecimal } from '#core/money/decimal'
import { splitByLargestRemainder } from '#core/money/splitByLargestRemainder'
import { convertAmount, rateTable } from '#core/money/rates'
import { formatAmount, formatWhole, inUnits } from '#core/money/formatAmount'
import { addDays, dateOfDay, dayNumber, daysBetween, isCalendarDate } from '#core/time/calendarDate'

describe('money', () => {
  test('two currencies do not add: not for the compiler, not at run time', () => {
    const cad = money(100, 'CAD')
    const sek = money(100, 'SEK')
    // @ts-expect-error CAD and SEK are different types
    expect(() => addMoney(cad, sek)).toThrow('cannot add CAD and SEK')
    expect(addMoney(cad, money(50, 'CAD'))).toEqual({ amount: 150, currency: 'CAD' })
    expect(sumMoney([], 'CAD').amount).toBe(0)
  })

  test('a fraction of a minor unit is refused', () => {
    expect(() => money(1.5, 'CAD')).toThrow('1.5 is not a whole number')
  })
})

describe('parseDecimal', () => {
  test.each([
    ['129.50', 'CAD', 12950],
    ['129.5', 'CAD', 12950],
    ['-4', 'CAD', -400],
    ['0.00', 'CAD', 0],
    ['1200', 'JPY', 1200],
    ['1.234', 'KWD', 1234],
  ])('%s %s is %i', (text, currency, amount) => {
    expect(parseDecimal(text, currency)).toBe(amount)
  })
  test.each([
    ['12.345', 'CAD', 'too-many-places'],
    ['1.5', 'JPY', 'too-many-places'],
    ['', 'CAD', 'not-a-decimal'],
    ['1,50', 'CAD', 'not-a-decimal'],
    ['1e3', 'CAD', 'not-a-decimal'],
    ['5', 'XQX', 'unknown-currency'],
  ])('%j %s is refused: %s', (text, currency, code) => {
    expect(() => parseDecimal(text, currency)).toThrowError(expect.objectContaining({ code }))
  })
  test('writing and reading back is the same amount', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e11, max: 1e11 }),
        fc.constantFrom('CAD', 'JPY', 'KWD', 'SEK'),
        (amount, currency) => {
          expect(parseDecimal(toDecimal(amount, currency), currency)).toBe(amount === 0 ? 0 : amount)
        },
      ),
    )
  })
})

describe('rounding', () => {
  test('halves go away from zero, in exact decimals', () => {
    expect(percentOf(1020, 12.5)).toBe(128) // 127.5
    expect(scaleAmount(-1020, 12.5, 100)).toBe(-128)
    expect(percentOf(100, 1.15 * 100)).toBe(115) // 1.15 · 100 is 114.99999999999999 in floating point
  })
  test('an amount is written with a real minus and narrow spaces', () => {
    expect(formatAmount(-123456789, 'CAD')).toBe('−1\u202f234\u202f567.89')
    expect(formatAmount(94900, 'CAD')).toBe('949.00')
    expect(formatAmount(94900, 'JPY')).toBe('94\u202f900')
  })
  test('whole units follow the places of the currency', () => {
    expect([
      formatWhole(12_950, 'CAD'),
      formatWhole(-12_950, 'CAD'),
      formatWhole(12_950, 'JPY'),
      formatWhole(12_500, 'KWD'),
    ]).toEqual(['130', '−130', '12\u202f950', '13'])
    expect([inUnits(12_950, 'CAD'), inUnits(12_950, 'JPY')]).toEqual([129.5, 12_950])
  })
})

describe('splitByLargestRemainder', () => {
  test.each([
    [100, [1, 1, 1], [34, 33, 33]], // the odd cent to the first
    [100, [0, 0], [50, 50]], // all zero: equally
    [7, [10, 0, 4], [5, 0, 2]],
    [-100, [1, 1, 1], [-34, -33, -33]],
    [5, [], []],
  ])('%i over %j is %j', (amount, weights, parts) => {
    expect(splitByLargestRemainder(amount, weights)).toEqual(parts)
  })
  test('the parts add up to the amount, each within one unit of its exact share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e9, max: 1e9 }),
        fc.array(fc.integer({ min: 0, max: 1e7 }), { minLength: 1, maxLength: 12 }),
        (amount, weights) => {
          const parts = splitByLargestRemainder(amount, weights)
          expect(parts.reduce((sum, part) => sum + part, 0)).toBe(amount)
          const total = weights.reduce((sum, weight) => sum + weight, 0)
          parts.forEach((part, i) =>
            expect(
              Math.abs(
                part - (amount * (total > 0 ? weights[i]! : 1)) / (total > 0 ? total : weights.length),
              ),
            ).toBeLessThan(1.0001),
          )
        },
      ),
    )
  })
  test('a negative weight is refused by its index', () => {
    expect(() => splitByLargestRemainder(10, [1, -1])).toThrowError(
      expect.objectContaining({ path: 'weights[1]' }),
    )
  })
})

describe('rates', () => {
  const table = rateTable([
    { date: '2026-09-01', from: 'SEK', to: 'CAD', rate: '0.1324' },
    { date: '2026-06-01', from: 'SEK', to: 'CAD', rate: 0.13 },
  ])
  test('the last rate on or before the date counts; none is an error naming pair and date', () => {
    expect(table.rateOn('2026-08-31', 'SEK', 'CAD')).toBe(0.13)
    expect(table.rateOn('2026-09-01', 'SEK', 'CAD')).toBe('0.1324')
    expect(() => table.rateOn('2026-05-31', 'SEK', 'CAD')).toThrow(
      'no exchange rate from SEK to CAD on or before 2026-05-31',
    )
    expect(() => table.rateOn('2026-09-01', 'CAD', 'SEK')).toThrow('CAD to SEK') // never inverted
  })
  test('converts between currencies of different places, rounding once', () => {
    expect(convertAmount(100_000, 'SEK', 'CAD', '0.1324')).toBe(13_240)
    expect(convertAmount(1000, 'CAD', 'JPY', '108.25')).toBe(1083) // 10.00 CAD = 1082.5 yen
    expect(convertAmount(1001, 'CAD', 'CAD', 1, 2)).toBe(501) // 500.5
  })
})

describe('calendar dates', () => {
  test('only dates that exist are dates', () => {
    expect(['2026-02-28', '2024-02-29'].every(isCalendarDate)).toBe(true)
    expect(['2026-02-29', '2026-13-01', '2026-1-1', '31.10.2026', ''].some(isCalendarDate)).toBe(false)
  })
  test('counting days and back', () => {
    expect(daysBetween('2026-10-31', '2026-11-21')).toBe(21)
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), (day) => {
        expect(dayNumber(dateOfDay(day))).toBe(day)
      }),
    )
  })
})
