import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { isOddIndex, joinScale } from '#core/performance/scores/joinScale'
import { fixByRate } from '#core/performance/model/fixByRate'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { typicalGames } from '#core/performance/model/typicalGames'
import type { Workload } from '#core/performance/model/workload'

const score = (partId: string, of: number, index: number | null = null) => ({ partId, score: of, index })
const indexOf = (joined: ReturnType<typeof joinScale>, partId: string) =>
  joined!.values.find((each) => each.partId === partId)!.index

describe('scores on the scale of the indexes', () => {
  test('one shared part carries the scale: 50 at 200 makes 400 a 100, the spread not known', () => {
    const joined = joinScale([score('a', 200, 50), score('b', 400)])
    expect(indexOf(joined, 'b')).toBeCloseTo(100)
    expect(joined).toMatchObject({ shared: 1, spread: null, slope: null, stretches: false })
  })

  test('the median ratio is not moved by one part that is off, which is named', () => {
    const joined = joinScale([
      score('a', 100, 50),
      score('b', 200, 100),
      score('c', 300, 150),
      score('d', 400, 400),
      score('e', 240),
    ])
    expect(indexOf(joined, 'e')).toBeCloseTo(120)
    expect(joined!.off).toEqual([{ partId: 'd', ratio: expect.closeTo(2) }])
    expect(joined!.spread).toBeCloseTo(0)
  })

  test('nothing shared and no base: no scale; a base is 100', () => {
    const scores = [score('a', 40), score('b', 60)]
    expect(joinScale(scores)).toBeNull()
    expect(indexOf(joinScale(scores, { base: 'a' }), 'b')).toBeCloseTo(150)
  })

  test('times, where less is better', () => {
    expect(
      indexOf(joinScale([score('a', 20, 100), score('b', 10)], { lessIsBetter: true }), 'b'),
    ).toBeCloseTo(200)
  })

  test('a table that squeezes differences is asked about from six parts on', () => {
    const squeezed = [40, 60, 80, 100, 130, 160].map((index, at) => score(`p${at}`, Math.sqrt(index), index))
    expect(joinScale(squeezed)!.slope).toBeCloseTo(2)
    expect(joinScale(squeezed)!.stretches).toBe(true)
    expect(joinScale(squeezed.slice(1))!.slope).toBeNull()
  })

  test('a figure beyond the shared range is marked', () => {
    const joined = joinScale([score('a', 100, 50), score('b', 200, 100), score('c', 500), score('d', 150)])
    expect(joined!.values.map(({ isBeyond }) => isBeyond)).toEqual([false, false, true, false])
  })

  test('an index far from five others is asked about', () => {
    const known = [60, 80, 100, 120, 140]
    expect([19, 21, 419, 421].map((index) => isOddIndex(index, known))).toEqual([true, false, false, true])
    expect(isOddIndex(1, known.slice(1))).toBe(false)
  })

  test('scores multiplied by anything give the same indexes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 10, max: 300 })), {
          minLength: 1,
          maxLength: 9,
        }),
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        (pairs, factor) => {
          const scores = pairs.map(([of, index], at) => score(`p${at}`, of, index))
          const scaled = scores.map((each) => ({ ...each, score: each.score * factor }))
          const [one, other] = [joinScale(scores)!, joinScale(scaled)!]
          for (const [at, { index }] of one.values.entries())
            expect(other.values[at]!.index / index).toBeCloseTo(1, 6)
        },
      ),
      { numRuns: 60 },
    )
  })
})

test('one known rate comes out exactly, for every typical game', () => {
  const machine = { cpuIndex: 80, threads: 12, graphicsIndex: 60, videoMemoryGb: 8, memoryChannels: 2 }
  const settings = { width: 1920, height: 1080, preset: 'high' }
  for (const shape of typicalGames) {
    const game: Workload = { ...shape, id: 'own', name: 'own' }
    const fixed = fixByRate(game, machine, settings, 91.5)
    expect(estimateFrameRate(fixed, machine, settings).averageFps).toBeCloseTo(91.5)
    expect(fixed.graphicsMs / fixed.cpuMs).toBeCloseTo(game.graphicsMs / game.cpuMs)
  }
})
