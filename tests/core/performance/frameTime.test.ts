import { describe, expect, test } from 'vitest'
import { graphicsIndexHere, shortOf, videoMemoryNeed } from '#core/performance/model/frameTime'
import { typicalGames } from '#core/performance/model/typicalGames'
import { isAtCap } from '#core/performance/runs/run'

/** Parts of the frame model by hand. */
const game = {
  ...typicalGames[0]!,
  id: 'g',
  name: 'G',
  presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 4 } },
}
const at = (width: number, height: number) => ({ width, height, preset: 'high' })

describe('video memory', () => {
  test('as stated at 1920 × 1080; four times the pixels want 4^0.2 = 1.32 times as much', () => {
    expect(videoMemoryNeed(game, at(1920, 1080))).toBeCloseTo(4)
    expect(videoMemoryNeed(game, at(3840, 2160))).toBeCloseTo(4 * 4 ** 0.2)
    expect(videoMemoryNeed(game, at(1280, 720))).toBeLessThan(4)
  })
  test('8 of 6 is short by a third; behind a slot of 4 GB/s by twice that', () => {
    expect(shortOf(8, 6)).toBeCloseTo(1 / 3)
    expect(shortOf(8, 6, 4)).toBeCloseTo(2 / 3)
    expect(shortOf(8, 6, 64)).toBeCloseTo(1 / 3)
    expect(shortOf(4, 6)).toBe(0)
  })
  test('a preset that is not there is refused', () => {
    expect(() => videoMemoryNeed(game, { ...at(1920, 1080), preset: 'none' })).toThrow('none')
  })
})

test('the index as it is here: of its slot, of its memory', () => {
  expect(graphicsIndexHere({ graphicsIndex: 100 })).toBe(100)
  expect(graphicsIndexHere({ graphicsIndex: 100, slotShare: 0.9, memoryShare: 0.5 })).toBeCloseTo(45)
})

describe('a run at a cap', () => {
  const run = (averageFps: number, capFps: number | null) => ({ averageFps, conditions: { capFps } as never })
  test.each([
    [58.3, 60, undefined, true],
    [58.1, 60, undefined, false],
    [142, null, 144, true],
    [100, 240, 144, false],
    [100, null, undefined, false],
  ])('%d fps with a limiter of %s and an engine of %s: %s', (fps, limiter, engine, is) =>
    expect(isAtCap(run(fps, limiter), engine === undefined ? {} : { frameCap: engine })).toBe(is),
  )
})
