import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { frameTimes } from '#core/performance/frametimes/frameTimes'
import { isStutter } from '#core/performance/frametimes/stutters'

/** A second calculation, straight from the definitions and apart from the code. */
function byDefinition(all: readonly number[], target: number) {
  const times = all.filter((time) => time <= 1000)
  const total = times.reduce((sum, time) => sum + time, 0)
  const slow = [...times].sort((a, b) => b - a)
  const quantile = (q: number) => {
    const up = [...slow].reverse()
    const h = (up.length - 1) * q
    return up[Math.floor(h)]! + (h % 1) * ((up[Math.floor(h) + 1] ?? up[Math.floor(h)]!) - up[Math.floor(h)]!)
  }
  const worst = (n: number) => 1000 / (slow.slice(0, n).reduce((sum, time) => sum + time, 0) / n)
  const median = (values: number[]) => {
    const up = [...values].sort((a, b) => a - b)
    return up.length % 2 ? up[(up.length - 1) / 2]! : (up[up.length / 2 - 1]! + up[up.length / 2]!) / 2
  }
  const stutters = times.filter((time, i) => {
    const around = [...times.slice(Math.max(0, i - 15), i), ...times.slice(i + 1, i + 16)]
    return around.length > 0 && time > 2.5 * median(around) && time - median(around) >= 8
  }).length
  return {
    averageFps: (1000 * times.length) / total,
    onePercentLow: { percentile: 1000 / quantile(0.99), worstShare: worst(Math.ceil(times.length / 100)) },
    pointOnePercentLow: {
      percentile: 1000 / quantile(0.999),
      worstShare: worst(Math.ceil(times.length / 1000)),
    },
    shareUnderTarget:
      times.filter((time) => time > 1000 / target).reduce((sum, time) => sum + time, 0) / total,
    stutters,
    pauses: all.length - times.length,
  }
}

describe('frameTimes', () => {
  test('five frames, by hand', () => {
    const statistics = frameTimes([10, 10, 10, 10, 50], 60)
    expect(statistics.averageFps).toBeCloseTo(5000 / 90, 12)
    // h = 4 · 0.99 = 3.96: 10 + 0.96 · 40 = 48.4 ms
    expect(statistics.onePercentLow!.percentile).toBeCloseTo(1000 / 48.4, 9)
    expect(statistics.onePercentLow!.worstShare).toBe(20)
    expect(statistics.shareUnderTarget).toBeCloseTo(50 / 90, 12)
    expect(statistics).toMatchObject({
      frames: 5,
      stutters: 1,
      minWindowFps: null,
      maxWindowFps: null,
      pauses: 0,
    })
  })
  test('a steady pace fills whole windows, whatever its frame time', () => {
    for (const fps of [30, 60, 100, 144]) {
      expect(frameTimes(new Array(fps * 3).fill(1000 / fps), 60)).toMatchObject({
        minWindowFps: fps,
        maxWindowFps: fps,
        stutters: 0,
      })
    }
    // one second of 100, one of 50, a rest that is dropped
    expect(frameTimes([...new Array(100).fill(10), ...new Array(50).fill(20), 10, 10], 60)).toMatchObject({
      minWindowFps: 50,
      maxWindowFps: 100,
    })
  })
  test('a frame counts in the window it ends in', () => {
    expect(frameTimes([600, 600, 800], 60)).toMatchObject({ minWindowFps: 1, maxWindowFps: 2 })
  })
  test('pauses are counted and leave all other figures', () => {
    expect(frameTimes([10, 5000, 10], 60)).toMatchObject({
      frames: 2,
      seconds: 0.02,
      averageFps: 100,
      pauses: 1,
    })
    expect(frameTimes([2000], 60)).toMatchObject({
      frames: 0,
      averageFps: null,
      onePercentLow: null,
      pauses: 1,
    })
  })
  test('a bad frame is named by its number, an empty log refused', () => {
    expect(() => frameTimes([10, 0], 60)).toThrowError(
      expect.objectContaining({ path: 'frameTimesMs[1]', message: expect.stringContaining('frame 2') }),
    )
    expect(() => frameTimes([10, Number.NaN], 60)).toThrow('frame 2 is NaN')
    expect(() => frameTimes([], 60)).toThrow('no frames')
    expect(() => frameTimes([10], 0)).toThrow('target')
  })
  test('a frame alone is no stutter; one of 8 ms over its neighbours is the least', () => {
    expect(isStutter([100], 0)).toBe(false)
    expect(isStutter([5, 5, 13], 2)).toBe(true)
    expect(isStutter([5, 5, 12.9], 2)).toBe(false)
    expect(isStutter([10, 10, 25], 2)).toBe(false) // exactly 2.5 times is not more
  })
  const frame = fc.double({ min: 0.5, max: 400, noNaN: true })
  const bimodal = fc.oneof(
    { weight: 9, arbitrary: fc.double({ min: 7, max: 8, noNaN: true }) },
    { weight: 1, arbitrary: fc.double({ min: 30, max: 1500, noNaN: true }) },
  )
  test.each([
    ['random', fc.array(frame, { minLength: 1, maxLength: 300 })],
    ['bimodal', fc.array(bimodal, { minLength: 2, maxLength: 300 })],
    ['constant', frame.map((time) => new Array<number>(120).fill(time))],
    ['single', frame.map((time) => [time])],
  ])('%s input agrees with the definition to 1e-9', (_name, input) => {
    fc.assert(
      fc.property(input, fc.constantFrom(30, 60, 144), (times, target) => {
        fc.pre(times.some((time) => time <= 1000))
        const [a, b] = [frameTimes(times, target), byDefinition(times, target)]
        for (const key of ['averageFps', 'shareUnderTarget'] as const)
          expect(Math.abs(a[key]! / (b[key] || 1) - (b[key] === 0 ? a[key]! : 1))).toBeLessThan(1e-9)
        for (const low of ['onePercentLow', 'pointOnePercentLow'] as const)
          for (const way of ['percentile', 'worstShare'] as const)
            expect(Math.abs(a[low]![way] / b[low][way] - 1)).toBeLessThan(1e-9)
        expect([a.stutters, a.pauses]).toEqual([b.stutters, b.pauses])
      }),
      { numRuns: 60 },
    )
  })
})
