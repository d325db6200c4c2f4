import { describe, expect, test } from 'vitest'
import { demoWorkloads } from '../../../demo/trade'
import { catalogue } from '../../../demo/catalogue'
import { beforeAfter, geometricMean } from '#core/performance/runs/beforeAfter'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { forecastRecord, keepForecast } from '#core/performance/runs/forecast'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { frameValue } from '#core/performance/model/frameValue'
import { indexNeeded } from '#core/performance/model/indexNeeded'
import { evidenceAt, limitEvidence } from '#core/performance/fitting/limitEvidence'
import { limitMap } from '#core/performance/model/limitMap'
import { livingWithIt, type LivingFacts } from '#core/performance/runs/livingWithIt'
import { gainOf, nextUp } from '#core/performance/model/partUp'
import { repeatSummary } from '#core/performance/runs/repeats'
import { noReadings, plainConditions, type FrameRun } from '#core/performance/runs/run'
import { estimateWork } from '#core/performance/model/throughput'
import type { Workload } from '#core/performance/model/workload'

const kite = demoWorkloads.find((each) => each.id === 'kite-arena')! as Workload
const machine: FrameMachine = {
  cpuIndex: 80,
  threads: 6,
  graphicsIndex: 100,
  videoMemoryGb: 8,
  memoryChannels: 2,
}
const at = (height: number, upscaling?: string) => ({
  width: (height * 16) / 9,
  height,
  preset: 'medium',
  ...(upscaling ? { upscaling } : {}),
})
const repeats = (...averages: number[]) =>
  averages.map((averageFps) => ({ averageFps, lowFps: averageFps * 0.7, discarded: '' }))
const run = (
  id: string,
  settings: FrameRun['settings'],
  averages: number[],
  change: Partial<FrameRun> = {},
): FrameRun => ({
  id,
  workloadId: 'kite-arena',
  kind: 'own-reading',
  pair: 'a + b',
  machine,
  settings,
  scene: '',
  averageFps: repeatSummary(repeats(...averages))!.averageFps,
  lowFps: null,
  repeats: repeats(...averages),
  conditions: plainConditions,
  readings: noReadings,
  lowsCause: null,
  overruled: false,
  ...change,
})

describe('repeatSummary', () => {
  test('median and spread of those that count; discarded ones keep their reason and nothing else', () => {
    expect(
      repeatSummary([...repeats(60, 62, 61), { averageFps: 20, lowFps: 3, discarded: 'a message came in' }]),
    ).toEqual({ averageFps: 61, lowFps: 61 * 0.7, spread: 62 / 60 - 1, counted: 3, discarded: 1 })
    expect(repeatSummary(repeats(60))!.spread).toBeNull()
    expect(repeatSummary([{ averageFps: 20, lowFps: null, discarded: 'x' }])).toBeNull()
  })
})

describe('limitEvidence', () => {
  const [heavy, light] = [run('h', at(1080), [100, 103, 101]), run('l', at(720), [101, 102, 100])]
  test('a lower resolution that moves the average by less than the repeats spread: the CPU side limits', () => {
    const [sign, ...others] = limitEvidence(kite, [heavy, light])
    expect(others).toEqual([])
    expect(sign).toMatchObject({ side: 'cpu', shift: -1.5, runIds: ['h', 'l'] })
    expect(sign!.words).toContain('resolution lowered from 1920×1080 to 1280×720')
  })
  test.each([
    ['a change beyond the spread', [heavy, run('l', at(720), [120, 121, 122])]],
    [
      'no repeats to tell a spread from',
      [
        { ...heavy, repeats: [] },
        { ...light, repeats: [] },
      ],
    ],
    ['another scene', [heavy, { ...light, scene: 'rain' }]],
    ['another machine', [heavy, { ...light, pair: 'c + d' }]],
    ['two settings changed at once', [heavy, run('l', at(720, 'quality'), [100, 101, 102])]],
    ['an excluded run', [heavy, { ...light, lowsCause: 'heat' as const }]],
  ])('%s is no evidence', (_, runs) => {
    expect(limitEvidence(kite, runs)).toEqual([])
  })
  test('upscaling switched on counts likewise; stated use is a second sign', () => {
    const signs = limitEvidence(kite, [
      { ...heavy, readings: { ...noReadings, cardUse: 61 } },
      run('u', at(1080, 'quality'), [101, 102, 103]),
    ])
    expect(signs.map((each) => each.shift).sort()).toEqual([-0.75, -1.5].sort())
    expect(
      limitEvidence(kite, [run('g', at(1440), [60, 61], { readings: { ...noReadings, cardUse: 99 } })]),
    ).toMatchObject([{ side: 'graphics', shift: 0.75 }])
  })
  test('it moves the limit by a stated amount, and leaves the average where it was', () => {
    const signs = evidenceAt(limitEvidence(kite, [heavy, light]), kite, 'a + b', at(1080))
    const [before, after] = [
      estimateFrameRate(kite, machine, at(1080)),
      estimateFrameRate(kite, machine, at(1080), signs),
    ]
    const odds = before.graphicsShare / (1 - before.graphicsShare)
    expect(after.averageFps).toBe(before.averageFps)
    expect(after.graphicsShare).toBeCloseTo((odds * Math.exp(-1.5)) / (1 + odds * Math.exp(-1.5)), 12)
    expect(after.limitShift).toMatchObject({ before: before.graphicsShare, after: after.graphicsShare })
    // the sides still make up the same frame
    expect((after.graphicsMs ** 5 + after.cpuMs ** 5) ** 0.2).toBeCloseTo(after.frameMs, 9)
  })
  test('a CPU sign says nothing of heavier settings, nor of other parts', () => {
    const signs = limitEvidence(kite, [heavy, light])
    expect(evidenceAt(signs, kite, 'a + b', at(2160))).toEqual([])
    expect(evidenceAt(signs, kite, 'a + b', at(720))).toHaveLength(1)
    expect(evidenceAt(signs, kite, 'c + d', at(1080))).toEqual([])
  })
})

describe('what the next part brings, and what a target needs', () => {
  test('the index needed just reaches the target; one point less does not', () => {
    const target = { averageFps: 120, lowFps: 80 }
    for (const side of ['graphics', 'cpu'] as const) {
      const needed = indexNeeded(kite, { ...machine, cpuIndex: 140 }, at(1080), target, side)!
      const reach = (index: number) =>
        estimateFrameRate(
          kite,
          {
            ...machine,
            cpuIndex: 140,
            ...(side === 'graphics' ? { graphicsIndex: index } : { cpuIndex: index }),
          },
          at(1080),
        )
      expect(reach(needed).averageFps >= 120 && reach(needed).lowFps >= 80).toBe(true)
      expect(reach(needed - 1).averageFps >= 120 && reach(needed - 1).lowFps >= 80).toBe(false)
    }
  })
  test('no card gets there behind a CPU that is too slow', () => {
    expect(
      indexNeeded(
        kite,
        { ...machine, cpuIndex: 30 },
        at(1080),
        { averageFps: 144, lowFps: null },
        'graphics',
      ),
    ).toBeNull()
  })
  test('the next card up, and its gain the same as calculation the machine anew', () => {
    const card = nextUp(catalogue, 'graphics', 100)!
    expect(card.facts.graphicsIndex).toBe(112)
    const estimate = estimateFrameRate(kite, machine, at(1080))
    const anew = estimateFrameRate(
      kite,
      { ...machine, graphicsIndex: 112, videoMemoryGb: card.facts.vramGb! },
      at(1080),
    )
    expect(gainOf(card, estimate, kite, machine, 3)).toBeCloseTo(anew.averageFps / estimate.averageFps - 1, 9)
    const cpu = nextUp(catalogue, 'cpu', 80)!
    const withCpu = estimateFrameRate(
      kite,
      { ...machine, cpuIndex: cpu.facts.cpuIndex!, threads: cpu.facts.threads! },
      at(1080),
    )
    expect(gainOf(cpu, estimate, kite, machine, 3)).toBeCloseTo(
      withCpu.averageFps / estimate.averageFps - 1,
      9,
    )
    expect(nextUp(catalogue, 'graphics', 400)).toBeNull()
  })
  test('evidence that the CPU limits takes away what a card would bring', () => {
    const card = nextUp(catalogue, 'graphics', 100)!
    const runs = [run('h', at(1440), [99, 103, 101]), run('l', at(1080), [101, 102, 100])]
    const plain = estimateFrameRate(kite, machine, at(1440))
    const moved = estimateFrameRate(
      kite,
      machine,
      at(1440),
      evidenceAt(limitEvidence(kite, runs), kite, 'a + b', at(1440)),
    )
    expect(gainOf(card, moved, kite, machine, 3)).toBeLessThan(gainOf(card, plain, kite, machine, 3))
  })
  test('a map never gets faster to the right or downwards', () => {
    const rows = limitMap(kite, machine, { averageFps: 120, lowFps: null })
    for (const row of rows)
      for (let i = 1; i < row.length; i += 1)
        if (row[i]!.width * row[i]!.height > row[i - 1]!.width * row[i - 1]!.height)
          expect(row[i]!.estimate.averageFps).toBeLessThanOrEqual(row[i - 1]!.estimate.averageFps)
    for (let i = 1; i < rows.length; i += 1)
      expect(rows[i]![0]!.estimate.averageFps).toBeLessThanOrEqual(rows[i - 1]![0]!.estimate.averageFps)
  })
})

describe('beforeAfter', () => {
  const pairRun = (id: string, averageFps: number, change: Partial<FrameRun> = {}) =>
    run(id, at(1080), [averageFps], change)
  test('same settings only; means are geometric; the last of several counts', () => {
    const compared = beforeAfter(
      [pairRun('a', 30), pairRun('a2', 50), run('b', at(1440), [40])],
      [pairRun('c', 100), run('d', at(1440), [20]), run('e', at(720), [200])],
    )
    expect(compared.pairs.map((pair) => pair.ratio)).toEqual([2, 0.5])
    expect(compared.meanRatio).toBeCloseTo(1, 12)
    expect(compared.alone).toBe(1)
  })
  test('unlike conditions are flagged and stay out of the mean', () => {
    const compared = beforeAfter(
      [pairRun('a', 50, { conditions: { ...plainConditions, ambientC: 18, driverVersion: '1' } })],
      [
        pairRun('b', 60, {
          conditions: { ...plainConditions, ambientC: 27, driverVersion: '2', background: 'music' },
        }),
      ],
    )
    expect(compared.pairs[0]!.differs).toEqual([
      'background: none and music',
      'driver: 1 and 2',
      'room: 18 °C and 27 °C',
    ])
    expect(compared).toMatchObject({ meanRatio: null, counted: 0 })
  })
  test('turned round, every ratio is its inverse', () => {
    const [a, b] = [[pairRun('a', 50)], [pairRun('b', 80)]]
    expect(beforeAfter(a, b).meanRatio! * beforeAfter(b, a).meanRatio!).toBeCloseTo(1, 12)
    expect(geometricMean([])).toBeNull()
  })
})

describe('estimateWork', () => {
  const task = {
    id: 't',
    name: 'cut',
    unit: 'min',
    lessIsBetter: true,
    threadsExponent: 0.8,
    mostThreads: 16,
  }
  test('by hand: 12 min at index 100 and 12 threads; index 120 takes 10 min', () => {
    expect(
      estimateWork(task, { cpuIndex: 120, threads: 12 }, [
        { taskId: 't', machine: { cpuIndex: 100, threads: 12 }, value: 12 },
      ]),
    ).toEqual({ value: 10, range: { low: 10, high: 10 }, references: 1 })
  })
  test('threads help by their exponent, and no further than the work can use', () => {
    const of = (threads: number, lessIsBetter = true) =>
      estimateWork({ ...task, lessIsBetter }, { cpuIndex: 100, threads }, [
        { taskId: 't', machine: { cpuIndex: 100, threads: 8 }, value: 10 },
      ])!.value
    expect(of(16)).toBeCloseTo(10 / 2 ** 0.8, 9)
    expect(of(32)).toBe(of(16))
    expect(of(16, false)).toBeCloseTo(10 * 2 ** 0.8, 9)
  })
  test('the median of what the references say; none: null', () => {
    const references = [10, 12, 20].map((value) => ({
      taskId: 't',
      machine: { cpuIndex: 100, threads: 8 },
      value,
    }))
    expect(estimateWork(task, { cpuIndex: 100, threads: 8 }, references)).toMatchObject({
      value: 12,
      range: { low: 10, high: 20 },
    })
    expect(estimateWork(task, { cpuIndex: 100, threads: 8 }, [])).toBeNull()
  })
})

describe('frameValue', () => {
  const of = (id: string, cost: number, frames: number) => ({
    id,
    name: id,
    kind: 'build' as const,
    cost,
    frames,
  })
  test('a tread each where nothing cheaper is as fast; the others say who beats them', () => {
    const steps = frameValue([of('c', 300, 90), of('a', 100, 50), of('b', 200, 40), of('d', 300, 90)])
    expect(steps.map((step) => [step.id, step.beatenBy])).toEqual([
      ['a', null],
      ['b', 'a'],
      ['c', null],
      ['d', 'c'],
    ])
    expect(steps[2]!.added).toEqual({ money: 200, frames: 40, perFrame: 5 })
    expect(steps[0]!.perFrame).toBe(2)
  })
})

describe('livingWithIt', () => {
  const facts = (
    change: Partial<LivingFacts> = {},
    readings: Partial<FrameRun['readings']> = {},
    ambientC: number | null = 20,
  ): LivingFacts => ({
    runs: [
      {
        readings: { ...noReadings, ...readings },
        conditions: { ...plainConditions, ambientC },
        lowsCause: null,
        noise: 'audible',
      },
    ],
    supply: { nowW: 500, efficiency: 0.85 },
    estimatedWallW: 250,
    yearlyWords: '40.00 a year',
    wantsQuiet: false,
    roomC: 30,
    ...change,
  })
  const verdict = (given: LivingFacts, topic: string) =>
    livingWithIt(given).find((each) => each.topic === topic)!
  test('temperatures are moved to the brief’s room, here of 30 °C, degree for degree', () => {
    // 72 °C in a room of 20 is 82 °C in one of 30; the card throttles at 87
    expect(verdict(facts({}, { cardC: 72 }), 'heat')).toMatchObject({
      verdict: 'watch',
      words: expect.stringContaining('82 °C in a 30 °C room'),
    })
    expect(verdict(facts({}, { cardC: 78 }), 'heat').verdict).toBe('bad')
    expect(verdict(facts({}, { cardC: 60, cpuC: 60 }), 'heat').verdict).toBe('well')
    expect(verdict(facts(), 'heat').verdict).toBe('not known')
  })
  test('wall watts against the supply and the estimate', () => {
    // 300 W · 0.85 = 255 W of 500
    expect(verdict(facts({}, { wallW: 300 }), 'power')).toMatchObject({
      verdict: 'well',
      words: expect.stringMatching(/51 % .*/),
    })
    expect(verdict(facts({ supply: { nowW: 270, efficiency: 0.85 } }, { wallW: 300 }), 'power').verdict).toBe(
      'bad',
    )
    expect(verdict(facts({}, { wallW: 300 }), 'power').words).toContain('+20 %')
  })
  test('noise counts for more where the brief asks for quiet', () => {
    expect(verdict(facts(), 'noise').verdict).toBe('watch')
    expect(verdict(facts({ wantsQuiet: true }), 'noise').verdict).toBe('bad')
  })
  test('a run that throttled says so before any temperature', () => {
    const given = facts({}, { cardC: 60 })
    expect(
      verdict({ ...given, runs: [...given.runs, { ...given.runs[0]!, lowsCause: 'heat' }] }, 'heat'),
    ).toMatchObject({ verdict: 'bad', words: expect.stringContaining('1 of 2') })
  })
})

describe('forecasts', () => {
  test('error and whether the range held, by workload', () => {
    const forecast = { id: 'f', workloadId: 'w', averageFps: 100, range: { low: 90, high: 110 } }
    const kept = [keepForecast(forecast, 95), keepForecast(forecast, 120)]
    expect(kept.map((each) => each.inRange)).toEqual([true, false])
    expect(kept[0]!.error).toBeCloseTo(-0.05, 12)
    expect(forecastRecord(kept)).toEqual([
      { workloadId: 'w', count: 2, medianError: expect.closeTo(0.075, 9), heldShare: 0.5 },
    ])
  })
})
