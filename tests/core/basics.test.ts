import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { groupBy } from '#core/collections/groupBy'
import { medianSorted } from '#core/statistics/medianSorted'
import { quantileSorted } from '#core/statistics/quantileSorted'
import { compareText } from '#core/text/compareText'
import { yearsBetween } from '#core/time/calendarDate'

describe('statistics', () => {
  test('the median of none is not a number, of two their mean', () => {
    expect(medianSorted([])).toBeNaN()
    expect([medianSorted([4]), medianSorted([4, 9]), medianSorted([1, 4, 9])]).toEqual([4, 6.5, 4])
  })
  test('a quantile is linear at h = (n − 1) · q', () => {
    expect([0, 0.25, 0.5, 0.9, 1].map((q) => quantileSorted([10, 20, 30, 50, 90], q))).toEqual([
      10, 20, 30, 74, 90,
    ])
  })
  test('the quantile at one half is the median, and quantiles never fall', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1 }), (values) => {
        const sorted = [...values].sort((a, b) => a - b)
        expect(quantileSorted(sorted, 0.5)).toBeCloseTo(medianSorted(sorted), 6)
        expect(quantileSorted(sorted, 0.3)).toBeLessThanOrEqual(quantileSorted(sorted, 0.7) + 1e-9)
      }),
    )
  })
})

describe('collections, text and time', () => {
  test('groups keep the order in which they come, and lose nothing', () => {
    expect([...groupBy(['bc', 'a', 'de', 'f'], (each) => each.length)]).toEqual([
      [2, ['bc', 'de']],
      [1, ['a', 'f']],
    ])
  })
  test('texts compare by code unit, the same everywhere', () => {
    expect(['b', 'ä', 'a', 'B'].sort(compareText)).toEqual(['B', 'a', 'b', 'ä'])
    expect(compareText('a', 'a')).toBe(0)
  })
  test('years are of 365.25 days, below zero the other way round', () => {
    expect(yearsBetween('2022-01-01', '2026-01-01')).toBe(4)
    expect(yearsBetween('2026-01-01', '2022-01-01')).toBe(-4)
  })
})
