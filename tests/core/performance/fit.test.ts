import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { demoWorkloads } from '../../../demo/trade'
import { measureFit } from '../../../demo/measureFit'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { fitWorkload } from '#core/performance/fitting/fitWorkload'
import { frameTime, type FrameMachine } from '#core/performance/model/frameTime'
import { nextMeasurement } from '#core/performance/fitting/nextMeasurement'
import { excludedBecause, noReadings, plainConditions, type FrameRun } from '#core/performance/runs/run'
import type { Workload } from '#core/performance/model/workload'

const workload = demoWorkloads[0]! as Workload
const machine: FrameMachine = {
  cpuIndex: 100,
  threads: 12,
  graphicsIndex: 100,
  videoMemoryGb: 8,
  memoryChannels: 2,
}
const settings = { width: 2560, height: 1440, preset: 'high' }
const run = (id: string, averageFps: number, change: Partial<FrameRun> = {}): FrameRun => ({
  id,
  workloadId: workload.id,
  kind: 'own-log',
  pair: 'a + b',
  machine,
  settings,
  scene: '',
  averageFps,
  lowFps: null,
  repeats: [],
  conditions: plainConditions,
  readings: noReadings,
  lowsCause: null,
  overruled: false,
  ...change,
})

describe('fitWorkload', () => {
  test('finds what made the runs, and says how sure it is', () => {
    const exact = measureFit(7, 60, 0)
    expect(exact.medianError).toBeLessThan(0.03)
    expect(exact.coverage).toBeGreaterThan(0.83)
    expect(exact.coverage).toBeLessThan(0.98)
    const off = measureFit(8, 60, 0.06)
    expect(off.medianError).toBeLessThan(0.08)
    expect(off.coverage).toBeGreaterThan(0.83)
    expect(off.coverage).toBeLessThan(0.98)
  })
  test('no run: the workload as it is; excluded runs change nothing', () => {
    expect(fitWorkload(workload, [])).toBe(workload)
    const spoilt = [
      run('a', 20, { conditions: { ...plainConditions, background: 'a download' } }),
      run('b', 20, { lowsCause: 'heat' }),
      run('c', 20, { lowsCause: 'loading' }),
      run('d', 20, { kind: 'console-mode', machine: null }),
    ]
    expect(fitWorkload(workload, spoilt)).toBe(workload)
    expect(fitWorkload(workload, [run('a', 20, { lowsCause: 'heat', overruled: true })]).fit!.runs).toBe(1)
  })
  test('slow runs pull the estimate down; an own log pulls harder than a published result', () => {
    const before = estimateFrameRate(workload, machine, settings).averageFps
    const after = (kind: FrameRun['kind']) =>
      estimateFrameRate(fitWorkload(workload, [run('a', before * 0.85, { kind })]), machine, settings)
        .averageFps
    expect(after('own-log')).toBeLessThan(after('published'))
    expect(after('published')).toBeLessThan(before)
    expect(after('own-log')).toBeGreaterThan(before * 0.85)
  })
  test('the order of the runs does not matter', () => {
    const runs = [60, 70, 75, 66].map((fps, index) =>
      run(`r${index}`, fps, { pair: `p${index}`, machine: { ...machine, graphicsIndex: 90 + 5 * index } }),
    )
    fc.assert(
      fc.property(fc.shuffledSubarray(runs, { minLength: 4 }), (shuffled) => {
        expect(fitWorkload(workload, shuffled).graphicsMs).toBeCloseTo(
          fitWorkload(workload, runs).graphicsMs,
          9,
        )
      }),
      { numRuns: 10 },
    )
  })
  test('a scene of its own is a factor, and leaves the reference scene alone', () => {
    const base = estimateFrameRate(workload, machine, settings).averageFps
    const runs = Array.from({ length: 6 }, (_, index) =>
      run(`n${index}`, base, { pair: `n${index}` }),
    ).concat(
      Array.from({ length: 6 }, (_, index) =>
        run(`s${index}`, base / 1.2, { pair: `n${index}`, scene: 'rain' }),
      ),
    )
    const fitted = fitWorkload(workload, runs)
    expect(fitted.fit!.scenes.rain).toBeCloseTo(1.2, 1)
    expect(estimateFrameRate(fitted, machine, settings).averageFps / base).toBeCloseTo(1, 1)
  })
  test('generated frames are removed before the model sees them', () => {
    const base = estimateFrameRate(workload, machine, settings).averageFps
    const fitted = fitWorkload(workload, [
      run('a', base * workload.frameGenerationFactor, { settings: { ...settings, frameGeneration: true } }),
    ])
    expect(fitted.graphicsMs).toBeCloseTo(workload.graphicsMs, 6)
  })
  test('lows: shares follow what was measured, memory short once more', () => {
    const base = estimateFrameRate(workload, machine, settings)
    const low = (share: number) =>
      fitWorkload(
        workload,
        Array.from({ length: 12 }, (_, index) =>
          run(`r${index}`, base.averageFps, { lowFps: base.averageFps * share, pair: `p${index}` }),
        ),
      )
    expect(low(0.6).lowShare.graphics).toBeLessThan(workload.lowShare.graphics)
    expect(estimateFrameRate(low(0.6), machine, settings).lowFps / base.averageFps).toBeCloseTo(0.6, 1)
  })
  test('s never falls below 3 %, and grows with runs that disagree', () => {
    const base = estimateFrameRate(workload, machine, settings).averageFps
    const agreeing = fitWorkload(
      workload,
      Array.from({ length: 30 }, (_, index) => run(`r${index}`, base, { pair: `p${index}` })),
    )
    const wild = fitWorkload(
      workload,
      Array.from({ length: 30 }, (_, index) =>
        run(`r${index}`, base * (index % 2 === 0 ? 1.3 : 0.77), { pair: `p${index}` }),
      ),
    )
    expect(agreeing.fit!.residualSpread).toBe(0.03)
    expect(wild.fit!.residualSpread).toBeGreaterThan(0.2)
    expect(estimateFrameRate(wild, machine, settings).range.low).toBeLessThan(
      estimateFrameRate(agreeing, machine, settings).range.low,
    )
  })
  test('r leaves out every run on the same parts: by hand, two runs on one pair are held against the library alone', () => {
    const base = estimateFrameRate(workload, machine, settings).averageFps
    const { residuals, residualSpread } = fitWorkload(workload, [
      run('a', base / 1.1),
      run('b', base / 1.1),
    ]).fit!
    for (const each of residuals) expect(each.leftOut).toBeCloseTo(Math.log(1.1), 5)
    // s² = (4 · 0.05² + 2 · 0.0953²) / 6
    expect(residualSpread).toBeCloseTo(Math.sqrt((0.01 + 2 * Math.log(1.1) ** 2) / 6), 5)
  })
  test('fewer than three runs are rough, three are not', () => {
    const of = (count: number) =>
      estimateFrameRate(
        fitWorkload(
          workload,
          Array.from({ length: count }, (_, index) => run(`r${index}`, 70)),
        ),
        machine,
        settings,
      ).rough
    expect([of(0), of(2), of(3)]).toEqual([true, true, false])
  })
})

describe('an estimate, fitted or not', () => {
  test('never rises when a part gets slower, nor falls when the resolution falls', () => {
    const fitted = fitWorkload(workload, [
      run('a', 40),
      run('b', 130, {
        pair: 'x',
        machine: { ...machine, graphicsIndex: 140 },
        settings: { ...settings, width: 1920, height: 1080 },
      }),
      run('c', 50, { pair: 'y', machine: { ...machine, cpuIndex: 50 } }),
    ])
    const figure = fc.integer({ min: 20, max: 200 })
    fc.assert(
      fc.property(figure, figure, fc.integer({ min: 1, max: 15 }), (cpuIndex, graphicsIndex, slower) => {
        const at = (change: Partial<FrameMachine>, height = 1080) =>
          estimateFrameRate(
            fitted,
            { ...machine, cpuIndex, graphicsIndex, ...change },
            { width: (height * 16) / 9, height, preset: 'medium' },
          )
        for (const change of [
          { cpuIndex: cpuIndex - slower },
          { graphicsIndex: graphicsIndex - slower },
          { memorySlow: true },
          { threads: 4 },
        ])
          expect(at(change).averageFps).toBeLessThanOrEqual(at({}).averageFps + 1e-9)
        expect(at({}, 720).averageFps).toBeGreaterThanOrEqual(at({}).averageFps - 1e-9)
      }),
    )
  })
  test('generated frames are shown apart and add nothing to the average', () => {
    const plain = estimateFrameRate(workload, machine, settings)
    const generated = estimateFrameRate(workload, machine, { ...settings, frameGeneration: true })
    expect(generated.averageFps).toBe(plain.averageFps)
    expect(generated.generatedFps).toBeCloseTo(plain.averageFps * 1.6, 9)
  })
  test('by hand: both sides level', () => {
    const level: Workload = {
      ...workload,
      graphicsMs: 10,
      cpuMs: 10,
      pixelExponent: 1,
      threadsWanted: 4,
      presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 2 } },
    }
    const time = frameTime(level, machine, { width: 1000, height: 1000, preset: 'high' })
    expect(time.frameMs).toBeCloseTo(10 * 2 ** 0.2, 12)
    expect(time.graphicsShare).toBe(0.5)
  })
})

describe('nextMeasurement', () => {
  test('never promises a wider range, and prefers what tells most', () => {
    const next = nextMeasurement(workload, machine, settings)
    expect(next.halfWidthAfter).toBeLessThan(next.halfWidthNow)
    const known = fitWorkload(
      workload,
      Array.from({ length: 40 }, (_, index) => run(`r${index}`, 80, { pair: `p${index}` })),
    )
    const after = nextMeasurement(known, machine, settings)
    expect(after.halfWidthNow - after.halfWidthAfter).toBeLessThan(next.halfWidthNow - next.halfWidthAfter)
  })
})

describe('excludedBecause', () => {
  test.each([
    [{}, null],
    [{ conditions: { ...plainConditions, background: 'a download' } }, /download/],
    [{ lowsCause: 'heat' as const }, /throttled/],
    [{ lowsCause: 'memory' as const }, null],
    [{ lowsCause: 'loading' as const, overruled: true }, null],
    [{ machine: null }, /not known/],
  ])('%o', (change, why) => {
    const said = excludedBecause(run('a', 60, change))
    if (why === null) expect(said).toBeNull()
    else expect(said).toMatch(why)
  })
})

test('six machines held at 60 do not make a faster one look like 85', () => {
  const [workload] = demoWorkloads as unknown as [Workload]
  const machine = (cpuIndex: number, graphicsIndex: number) => ({
    cpuIndex,
    graphicsIndex,
    threads: 12,
    videoMemoryGb: 12,
    memoryChannels: 2,
  })
  const settings = { width: 1920, height: 1080, preset: Object.keys(workload.presets)[0]! }
  const held60 = (index: number, capFps: number | null): FrameRun => ({
    id: `r${index}`,
    workloadId: workload.id,
    kind: 'own-log',
    pair: `p${index}`,
    machine: machine(90 + 5 * index, 100 + 5 * index),
    settings,
    scene: '',
    averageFps: 60,
    lowFps: null,
    repeats: [],
    conditions: { ...plainConditions, capFps },
    readings: noReadings,
    lowsCause: null,
    overruled: false,
  })
  const held = (capFps: number | null) => Array.from({ length: 6 }, (_, index) => held60(index, capFps))
  const estimate = (fitted: Workload) => estimateFrameRate(fitted, machine(120, 130), settings).averageFps
  const free = estimate(workload)
  expect(estimate(fitWorkload(workload, held(60)))).toBeGreaterThan(0.95 * free)
  // taken for what the parts can do, they pull it down
  expect(estimate(fitWorkload(workload, held(null)))).toBeLessThan(0.8 * free)
})

test('frames of another form than the model’s: within 6 % in the middle, nine of ten in their ranges', () => {
  const { medianError, coverage } = measureFit(9, 40, 0.03, true)
  expect(medianError).toBeLessThan(0.06)
  expect(coverage).toBeGreaterThan(0.85)
})
