import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { gradeOf } from '#core/pricing/street/grade'
import { markNames, markQuantiles, marks } from '#core/pricing/street/marks'
import { changeSince, percentChange } from '#core/pricing/street/readHistory'
import { chancesPerDay, chanceWithin, shareAtOrBelow } from '#core/pricing/patience/patience'
import { trendForward } from '#core/pricing/trend/trendForward'
import { trendLine } from '#core/pricing/trend/trendLine'

describe('grades and marks', () => {
  test.each([
    [0, 0, 0, 'none'],
    [14, 12, 0.1, 'solid'],
    [14, 11.9, 0.1, 'usable'],
    [14, 12, 0.11, 'usable'],
    [6, 5, 0.2, 'usable'],
    [6, 4.9, 0.2, 'thin'],
    [6, 5, 0.21, 'thin'],
  ] as const)('%i kept, %d effective, ±%d is %s', (kept, effective, half, grade) =>
    expect(gradeOf(kept, effective, half)).toBe(grade),
  )
  test('marks rise, and each has a name on screen', () => {
    expect(marks.map((mark) => markQuantiles[mark])).toEqual([0.2, 0.5, 0.8])
    expect(marks.map((mark) => markNames[mark])).toEqual(['patient', 'typical', 'quick'])
  })
})

describe('a trend carried forward', () => {
  test('the worked example: −6 % in 30 days', () => {
    expect(trendForward(-6, 30)).toBeCloseTo(0.94, 12)
    expect(trendForward(-6, 60)).toBeCloseTo(0.8836, 12)
    expect(trendForward(-6, 0)).toBe(1)
  })
  test('two stretches after each other are one, and back again is where it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 150, noNaN: true }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 200 }),
        (percent, a, b) => {
          expect(trendForward(percent, a) * trendForward(percent, b)).toBeCloseTo(
            trendForward(percent, a + b),
            6,
          )
          expect(trendForward(percent, a) * trendForward(percent, -a)).toBeCloseTo(1, 9)
        },
      ),
    )
  })
  test('its line runs through the typical mark at the mean age of the comps', () => {
    const comps = [
      { age: 10, weight: 1 },
      { age: 40, weight: 1 },
    ]
    const line = trendLine({ percentPer30Days: -10, direction: 'falling' }, 10_000, comps, [55, 25, 0])
    expect(line.map((point) => Math.round(point.price))).toEqual([11_111, 10_000, 9159])
    expect(trendLine({ percentPer30Days: -10, direction: 'unclear' }, 10_000, comps, [0])).toEqual([])
  })
  test('a change since a past read, in percent', () => {
    expect(percentChange(8000, 10_000)).toBeCloseTo(25, 12)
    const reads = [
      { readOn: '2026-08-01', typical: 8000 },
      { readOn: '2026-10-20', typical: 9000 },
    ]
    expect(changeSince(reads, { on: '2026-10-31', typical: 10_000 })).toMatchObject({
      since: '2026-08-01',
      days: 91,
    })
    expect(changeSince([], { on: '2026-10-31', typical: 10_000 })).toBeNull()
  })
})

describe('the flow of comps', () => {
  const flow = { prices: [80, 100, 120, 140], weights: [1, 1, 2, 4], perDay: 0.5, catchShare: 0.2 }
  test('shares are weighted, chances come as often as they did', () => {
    expect([79, 80, 120, 999].map((price) => shareAtOrBelow(flow, price))).toEqual([0, 0.125, 0.5, 1])
    expect(chancesPerDay(flow, 120)).toBeCloseTo(0.05, 12)
    expect(chanceWithin(flow, 120, 20)).toBeCloseTo(1 - Math.exp(-1), 12)
    expect(shareAtOrBelow({ ...flow, prices: [], weights: [] }, 100)).toBe(0)
  })
})
