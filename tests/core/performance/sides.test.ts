import { describe, expect, test } from 'vitest'
import { performanceDefaults } from '#core/assumptions/groups/performance'
import { applyEvidence } from '#core/performance/fitting/limitEvidence'
import { stutterIndexes } from '#core/performance/frametimes/stutters'
import { covarianceOf, estimateFrameRate, gradient, limitOf } from '#core/performance/model/estimateFrameRate'
import {
  frameTime,
  joinSides,
  modelOf,
  effectiveThreads,
  shortOf,
  threadsShare,
} from '#core/performance/model/frameTime'
import { machinePair, pairOf } from '#core/performance/model/machineOf'
import type { Workload } from '#core/performance/model/workload'
import { machineWith } from '../machine/fit/soundMachine'

const workload: Workload = {
  id: 'w',
  name: 'Lantern Drift',
  kind: 'racing',
  graphicsMs: 10,
  cpuMs: 10,
  pixelExponent: 1,
  threadsWanted: 8,
  lowShare: { graphics: 0.8, cpu: 0.6 },
  presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 6 } },
  upscaling: {},
  frameGenerationFactor: 1.7,
  priorSpread: 0.2,
}
const machine = { cpuIndex: 100, threads: 8, graphicsIndex: 100, videoMemoryGb: 8, memoryChannels: 2 }
const settings = { width: 1000, height: 1000, preset: 'high' }

describe('two sides of a frame', () => {
  test('equal sides: 10 · 2^(1/5) = 11.49 ms, half of the limit each', () => {
    const { frameMs, graphicsShare } = joinSides(10, 10, performanceDefaults)
    expect(frameMs).toBeCloseTo(11.487, 3)
    expect(graphicsShare).toBe(0.5)
    expect(joinSides(10, 1, { sharpness: 1 }).frameMs).toBe(11)
  })
  test('shortage and threads are factors of the assumptions', () => {
    expect(shortOf(8, 6)).toBeCloseTo(1 / 3, 12)
    expect(shortOf(6, 8)).toBe(0)
    // four lanes of an old slot move 4 GB/s: twice as bad
    expect(shortOf(8, 6, 4)).toBeCloseTo(2 / 3, 12)
    expect(effectiveThreads({ threads: 8, cores: 4 }, performanceDefaults)).toBeCloseTo(5.4, 12)
    expect(effectiveThreads({ threads: 8 }, performanceDefaults)).toBe(8)
    expect(threadsShare(4, 8, performanceDefaults)).toBeCloseTo(0.5 ** 0.6, 12)
    expect(threadsShare(16, 8, performanceDefaults)).toBe(1)
  })
  test('a workload is calculated by the assumptions it carries', () => {
    const changed = { ...workload, model: { ...performanceDefaults, singleChannelFactor: 2 } }
    const single = { ...machine, memoryChannels: 1 }
    expect(modelOf(workload)).toBe(performanceDefaults)
    expect(frameTime(workload, single, settings).cpuMs).toBeCloseTo(11.2, 9)
    expect(frameTime(changed, single, settings).cpuMs).toBeCloseTo(20, 9)
    expect(
      estimateFrameRate(
        { ...workload, model: { ...performanceDefaults, residualSpread: 0.2 } },
        machine,
        settings,
      ).spread.result,
    ).toBe(0.2)
  })
  test.each([
    [0.66, 'graphics'],
    [0.65, 'balanced'],
    [0.35, 'balanced'],
    [0.34, 'cpu'],
  ] as const)('a share of %d is %s', (share, limit) => expect(limitOf(share)).toBe(limit))
  test('gradient and prior covariance by hand', () => {
    expect(gradient(0.4, { width: 2000, height: 1000 })).toEqual([0.4, 0.6, 0.4 * Math.log(2)])
    expect(covarianceOf(workload).map((row, index) => row[index])).toEqual([0.2 ** 2, 0.2 ** 2, 0.06 ** 2])
  })
  test('evidence moves what limits and keeps the frame', () => {
    const time = { ...joinSides(10, 10, performanceDefaults), graphicsMs: 10, cpuMs: 10 }
    expect(applyEvidence(time, [], performanceDefaults).limitShift).toBeNull()
    const evidence = [
      { pair: 'p', workloadId: 'w', side: 'cpu' as const, load: 1, shift: -1.5, words: 'lower resolution' },
    ]
    const moved = applyEvidence(time, evidence as never, performanceDefaults)
    // odds 1 · e^−1.5: 0.2231 / 1.2231
    expect(moved.graphicsShare).toBeCloseTo(0.1824, 4)
    expect(joinSides(moved.graphicsMs, moved.cpuMs, performanceDefaults).frameMs).toBeCloseTo(time.frameMs, 9)
  })
  test('one long frame among short ones is a stutter, a slow stretch is none', () => {
    const times = Array.from({ length: 60 }, (_, i) => (i === 30 ? 60 : 10))
    expect(stutterIndexes(times)).toEqual([30])
    expect(stutterIndexes(Array.from({ length: 60 }, (_, i) => (i < 30 ? 10 : 22)))).toEqual([])
    expect(stutterIndexes([50])).toEqual([])
  })
  test('a pair is named by what computes and what draws', () => {
    const parts = machineWith()
    const [cpu, card] = [
      parts.find((each) => each.role === 'cpu')!,
      parts.find((each) => each.role === 'graphics')!,
    ]
    expect(machinePair(parts)).toBe(pairOf(cpu.id, card.id))
    expect(machinePair([cpu])).toBeNull()
  })
})
