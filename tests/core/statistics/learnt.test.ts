import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { learntRatio, learntShare } from '#core/statistics/learnt'

describe('what outcomes say', () => {
  test('chances: Beta(2, 2) before anything came, nothing said below five', () => {
    expect([learntShare(4, 4), learntRatio([1, 1, 1, 1])]).toEqual([null, null])
    // Beta(8, 3): mean 8/11, variance 24 / (121 · 12)
    expect(learntShare(6, 7)).toEqual({
      value: 8 / 11,
      low: expect.closeTo(8 / 11 - 1.645 * Math.sqrt(24 / (121 * 12)), 12),
      high: expect.closeTo(8 / 11 + 1.645 * Math.sqrt(24 / (121 * 12)), 12),
      count: 7,
    })
    expect([learntShare(0, 5)!.value, learntShare(5, 5)!.value]).toEqual([2 / 9, 7 / 9])
  })
  test('ratios: the median and the order statistics that hold it in 90 %', () => {
    expect(learntRatio([1.1, 0.8, 0.95, 0.9, 0.85])).toEqual({ value: 0.9, low: 0.8, high: 1.1, count: 5 })
    // of eight, the second to the seventh: 1 − 2 · 9/256 = 93 %; the third to the sixth only 71 %
    expect(learntRatio([8, 7, 6, 5, 4, 3, 2, 1])).toEqual({ value: 4.5, low: 2, high: 7, count: 8 })
    // of thirteen, the fourth to the tenth: 1 − 2 · 378/8192 = 91 %
    expect(learntRatio(Array.from({ length: 13 }, (_, i) => i + 1))).toMatchObject({ low: 4, high: 10 })
  })
  test('more outcomes of the same share narrow the range about it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 2, max: 40 }), (came, times) => {
        const width = (by: number) => {
          const { low, high } = learntShare(came * by, 5 * by)!
          return high - low
        }
        expect(width(times)).toBeLessThan(width(1))
      }),
    )
  })
})
