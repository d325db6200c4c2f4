import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { judgeTarget, targetRatio } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
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
  test("video memory short by half: the card's time times 1 + 1.5 · (8/4 − 1), the low once more", () => {
    const short = estimateFrameRate(even, { ...machine, videoMemoryGb: 4 }, onePixelMillion)
    expect(short.graphicsMs).toBeCloseTo(25, 12)
    expect(short.videoMemoryShortage).toBe(2)
    expect(short.lowFps).toBeLessThan((short.averageFps * 0.8) / 2.4)
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
