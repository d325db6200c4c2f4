import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { indexFromRate } from '#core/performance/model/indexFromRate'
import { frameMachineOf } from '#core/performance/model/machineOf'
import type { Workload } from '#core/performance/model/workload'

/** a = b = 10 ms at one megapixel. */
const kite: Workload = {
  id: 'kite',
  name: 'Kite',
  kind: 'racing',
  graphicsMs: 10,
  cpuMs: 10,
  pixelExponent: 1,
  threadsWanted: 8,
  lowShare: { graphics: 0.8, cpu: 0.6 },
  presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 2 } },
  upscaling: {},
  frameGenerationFactor: 1.6,
  priorSpread: 0.2,
}
const cpu = (cpuIndex?: number): Part => ({
  id: 'cpu',
  role: 'cpu',
  make: 'Linnet',
  name: 'Dovecote',
  facts: { threads: 16, cores: 8, ...(cpuIndex === undefined ? {} : { cpuIndex }) },
})
const card = (graphicsIndex?: number): Part => ({
  id: 'card',
  role: 'graphics',
  make: 'Harrow',
  name: 'Quill',
  facts: { vramGb: 8, ...(graphicsIndex === undefined ? {} : { graphicsIndex }) },
})
const megapixel = { width: 1000, height: 1000, preset: 'high' }

describe('indexFromRate', () => {
  test('worked by hand: both sides 10 ms make 10 · 2^0.2 = 11.487 ms, 87.06 fps', () => {
    const solved = indexFromRate(card(), {
      workload: kite,
      settings: megapixel,
      averageFps: 1000 / (10 * 2 ** 0.2),
      beside: cpu(100),
    })!
    expect(solved.index).toBeCloseTo(100, 3)
    expect(solved.limit).toBe('balanced')
    expect(solved.low).toBeLessThan(100)
    expect(solved.high).toBeGreaterThan(100)
  })
  test('the other part too slow, the engine’s own limit, no index beside it', () => {
    const rate = (averageFps: number, workload = kite, beside = cpu(100)) =>
      indexFromRate(card(), { workload, settings: megapixel, averageFps, beside })
    // the CPU alone makes 100 fps at most
    expect(rate(101)).toBeNull()
    expect(rate(98)).toMatchObject({ limit: 'cpu', high: null })
    expect(rate(60, { ...kite, frameCap: 60 })).toBeNull()
    expect(() => rate(60, kite, cpu())).toThrow('index')
  })
  test('whatever the machine, the solved index gives the rate back, on either side', () => {
    fc.assert(
      fc.property(
        fc.record({
          index: fc.double({ min: 20, max: 400, noNaN: true }),
          other: fc.double({ min: 20, max: 400, noNaN: true }),
        }),
        fc.constantFrom('cpu' as const, 'graphics' as const),
        ({ index, other }, side) => {
          const parts = side === 'cpu' ? [cpu(index), card(other)] : [card(index), cpu(other)]
          const { machine } = frameMachineOf(parts)
          const { averageFps, graphicsShare } = estimateFrameRate(kite, machine!, megapixel)
          // where the other side alone decides, a rate says nothing of this one
          fc.pre((side === 'cpu' ? 1 - graphicsShare : graphicsShare) > 0.01)
          const [part, beside] = parts as [Part, Part]
          const solved = indexFromRate(
            { ...part, facts: { ...part.facts, cpuIndex: undefined, graphicsIndex: undefined } as never },
            { workload: kite, settings: megapixel, averageFps, beside },
          )
          expect(solved!.index / index).toBeCloseTo(1, 3)
        },
      ),
      { numRuns: 60 },
    )
  })
})
