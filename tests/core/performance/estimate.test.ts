import fc from 'fast-check'
import { noEstimate } from '#core/performance/model/noEstimate'
import { describe, expect, test } from 'vitest'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { judgeTarget, targetRatio } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { gainOf } from '#core/performance/model/partUp'
import type { Workload } from '#core/performance/model/workload'
import { demoWorkloads } from '../../../demo/trade'

const even: Workload = {
  id: 'even',
  name: 'Even',
  kind: 'test',
  graphicsMs: 10,
  cpuMs: 10,
  pixelExponent: 1,
  threadsWanted: 8,
  lowShare: { graphics: 0.8, cpu: 0.6 },
  presets: {
    high: { graphics: 1, cpu: 1, videoMemoryGb: 8 },
    low: { graphics: 0.5, cpu: 0.9, videoMemoryGb: 4 },
  },
  upscaling: { quality: 0.7 },
  frameGenerationFactor: 1.6,
  priorSpread: 0.1,
}
const machine: FrameMachine = {
  cpuIndex: 100,
  threads: 8,
  graphicsIndex: 100,
  videoMemoryGb: 8,
  memoryChannels: 2,
}
const onePixelMillion = { width: 1000, height: 1000, preset: 'high' }

describe('estimateFrameRate', () => {
  test('both sides at 10 ms, by hand', () => {
    const estimate = estimateFrameRate(even, machine, onePixelMillion)
    expect(estimate.frameMs).toBeCloseTo(10 * 2 ** 0.2, 12)
    expect(estimate.limit).toBe('balanced')
    expect(estimate.lowFps).toBeCloseTo(estimate.averageFps * 0.7, 12)
    // √(0.05² + 0.1² · (0.5² + 0.5²)) = 0.0866
    expect(estimate.range.high / estimate.averageFps).toBeCloseTo(
      Math.exp(1.645 * Math.sqrt(0.0025 + 0.005)),
      12,
    )
  })
  test('video memory short of what a megapixel wants: 8 GB · (1/2.0736)^0.2 = 6.91 GB against 4', () => {
    const short = estimateFrameRate(even, { ...machine, videoMemoryGb: 4 }, onePixelMillion)
    const by = 8 * (1 / 2.0736) ** 0.2
    expect(short.videoMemoryShortage).toBeCloseTo(by / 4, 12)
    expect(short.graphicsMs).toBeCloseTo(10 * (1 + 0.8 * (by / 4 - 1)), 12)
    expect(short.lowsFactor).toBeCloseTo(1 + 1.5 * (by / 4 - 1), 12)
    expect(short.lowFps).toBeLessThan((short.averageFps * 0.8) / short.lowsFactor + 1e-9)
  })
  test('an engine’s limit holds the figure and its range', () => {
    const capped = estimateFrameRate({ ...even, frameCap: 60 }, machine, onePixelMillion)
    expect([capped.averageFps, capped.range.high, capped.isCapped]).toEqual([60, 60, true])
    const twice = {
      id: 'g',
      role: 'graphics',
      make: '',
      name: 'g',
      facts: { graphicsIndex: 200, vramGb: 8 },
    } as const
    const at95 = { ...even, frameCap: 95 }
    const held = estimateFrameRate(at95, machine, onePixelMillion)
    // 87.1 fps now, free it would be 99.4: up to the limit and no further
    expect(gainOf(twice, held, at95, machine, 4)).toBeCloseTo(95 / held.averageFps - 1, 9)
    expect(gainOf(twice, capped, { ...even, frameCap: 60 }, machine, 4)).toBe(0)
    expect(estimateFrameRate({ ...even, frameCap: 240 }, machine, onePixelMillion).isCapped).toBe(false)
  })
  test('own runs of a pair pull its estimate, and no other’s: two logs 10 % slower, × 0.953', () => {
    const residual = (pair: string) => ({ runId: pair, pair, fitted: Math.log(1.1), leftOut: 0, weight: 1 })
    const fit = {
      runs: 2,
      residualSpread: 0.05,
      lowSpread: 0,
      covariance: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
      scenes: {},
      residuals: [residual('a + b'), residual('a + b')],
      prior: even,
    }
    const at = (pair?: string) =>
      estimateFrameRate({ ...even, fit }, { ...machine, ...(pair ? { pair } : {}) }, onePixelMillion)
    expect(at('a + b').averageFps / at().averageFps).toBeCloseTo(1.1 ** -0.5, 12)
    expect(at('a + c').averageFps).toBe(at().averageFps)
    // the times shown still join to the frame, and the next card up is gained from there
    const { graphicsMs, cpuMs, frameMs, averageFps } = at('a + b')
    expect((graphicsMs ** 5 + cpuMs ** 5) ** 0.2).toBeCloseTo(frameMs, 9)
    expect(1000 / frameMs).toBeCloseTo(averageFps, 9)
  })
  test('what is not known spans a range and is named; never taken for the worst', () => {
    const parts = (facts: object) =>
      [
        { id: 'c', role: 'cpu', make: 'M', name: 'Five', facts: { cpuIndex: 100, cores: 4, ...facts } },
        {
          id: 'g',
          role: 'graphics',
          make: 'M',
          name: 'Graphics card',
          facts: { graphicsIndex: 100, vramGb: 8 },
        },
      ] as never
    const unknown = frameMachineOf(parts({})).machine!
    const [low, high] = [{ threads: 4 }, { threads: 8 }].map((facts) => frameMachineOf(parts(facts)).machine!)
    const estimate = (of: FrameMachine) => estimateFrameRate(even, of, onePixelMillion)
    expect(estimate(unknown).unsure).toEqual(['threads of M Five'])
    expect(estimate(unknown).range.low).toBeCloseTo(estimate(low!).range.low, 9)
    expect(estimate(unknown).range.high).toBeCloseTo(estimate(high!).range.high, 9)
    expect(estimate(unknown).averageFps).toBeGreaterThan(estimate(low!).averageFps)
    expect(estimate(high!).unsure).toEqual([])
  })
  test('few threads, one channel and upscaling each act on their own side', () => {
    expect(estimateFrameRate(even, { ...machine, threads: 4 }, onePixelMillion).cpuMs).toBeCloseTo(
      10 / 0.5 ** 0.6,
      12,
    )
    expect(estimateFrameRate(even, { ...machine, memoryChannels: 1 }, onePixelMillion).cpuMs).toBeCloseTo(
      11.2,
      12,
    )
    expect(
      estimateFrameRate(even, machine, { ...onePixelMillion, upscaling: 'quality' }).graphicsMs,
    ).toBeCloseTo(7, 12)
    expect(
      estimateFrameRate(even, machine, { ...onePixelMillion, frameGeneration: true }).generatedFps,
    ).toBeCloseTo(160 / 2 ** 0.2, 9)
  })
  test('unknown settings and a zero index are refused by name', () => {
    expect(() => estimateFrameRate(even, machine, { ...onePixelMillion, preset: 'mad' })).toThrow(
      'Even has no preset "mad"',
    )
    expect(() => estimateFrameRate(even, { ...machine, cpuIndex: 0 }, onePixelMillion)).toThrow('CPU index')
  })
  test('never rises when a part gets slower, nor falls when the resolution falls', () => {
    const index = fc.integer({ min: 10, max: 200 })
    fc.assert(
      fc.property(
        fc.constantFrom(...demoWorkloads),
        index,
        index,
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 2, max: 16 }),
        (workload, cpuIndex, graphicsIndex, slower, videoMemoryGb) => {
          const base: FrameMachine = { cpuIndex, graphicsIndex, threads: 8, videoMemoryGb, memoryChannels: 2 }
          const at = (change: Partial<FrameMachine>, height = 1080) =>
            estimateFrameRate(
              workload,
              { ...base, ...change },
              { width: (height * 16) / 9, height, preset: 'high' },
            )
          for (const change of [
            { cpuIndex: cpuIndex - slower },
            { graphicsIndex: graphicsIndex - slower },
            { threads: 4 },
            { videoMemoryGb: videoMemoryGb - 1 },
            { memoryChannels: 1 },
          ]) {
            expect(at(change).averageFps).toBeLessThanOrEqual(at({}).averageFps + 1e-9)
          }
          expect(at({}, 720).averageFps).toBeGreaterThanOrEqual(at({}).averageFps - 1e-9)
        },
      ),
    )
  })
})

describe('judgeTarget', () => {
  const estimate = {
    range: { low: 55, high: 65 },
    lowRange: { low: 40, high: 50 },
    averageFps: 60,
    lowFps: 45,
  }
  test.each([
    [50, null, 'met'],
    [60, null, 'narrow'],
    [66, null, 'missed'],
    [50, 45, 'narrow'],
    [50, 60, 'missed'],
    [55, 40, 'met'],
  ] as const)('%i average, %s low: %s', (averageFps, lowFps, verdict) => {
    expect(judgeTarget(estimate, { averageFps, lowFps })).toBe(verdict)
  })
  test('the weaker of average and low says how far it is', () => {
    expect(targetRatio(estimate, { averageFps: 30, lowFps: 90 })).toBe(0.5)
  })
})

describe('frameMachineOf', () => {
  const cpu = { id: 'c', role: 'cpu' as const, make: '', name: 'C', facts: { cpuIndex: 100, threads: 12 } }
  const card = {
    id: 'g',
    role: 'graphics' as const,
    make: '',
    name: 'G',
    facts: { graphicsIndex: 90, vramGb: 8 },
  }
  test('says what is missing rather than guessing', () => {
    expect(frameMachineOf([]).missing).toEqual(['a CPU', 'a graphics card'])
    expect(frameMachineOf([{ ...cpu, facts: {} }, card]).missing).toEqual(["the CPU's index"])
  })
  test('one module is one channel; a CPU with graphics stands in for a card', () => {
    const module = { id: 'm', role: 'memory' as const, make: '', name: 'M', facts: { kitCount: 1 } }
    expect(frameMachineOf([cpu, card, module]).machine!.memoryChannels).toBe(1)
    expect(frameMachineOf([cpu, card, module, module]).machine!.memoryChannels).toBe(2)
    expect(
      frameMachineOf([{ ...cpu, facts: { ...cpu.facts, graphicsIndex: 14 } }]).machine!.graphicsIndex,
    ).toBe(14)
  })
})

test('no estimate says its true reason: what is not there, what is not known, or that nothing was asked', () => {
  const why = (...missing: string[]) => noEstimate([{ missing }, { missing }])
  expect(why('a graphics card')).toBe('No estimate yet: the build has no graphics card.')
  expect(why('a CPU', 'a graphics card')).toBe('No estimate yet: the build has no CPU and no graphics card.')
  expect(why("the CPU's index")).toBe("No estimate yet: the CPU's index is not known.")
  expect(why("the CPU's index", "the card's index")).toContain(
    "the CPU's index and the card's index are not known",
  )
  expect(why('a CPU', "the card's index")).toBe(
    "No estimate yet: the build has no CPU, and the card's index is not known.",
  )
  expect([why(), noEstimate([])]).toEqual(['', 'No estimate: the brief has no targets.'])
})
