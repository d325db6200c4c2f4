import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { slotShareOf, linkOf } from '#core/performance/model/slotShare'
import type { Part, PartFacts, Role } from '#core/parts/part'
import { anchorOf, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { frameFactors } from '#core/performance/model/frameFactors'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { judgeTarget } from '#core/performance/model/judgeTarget'
import { memoryShareOf } from '#core/performance/model/memoryShare'
import { helpText, rateSettings, targetName } from '#core/performance/model/targetName'
import { demoWorkloads } from '../../../demo/trade'

const part = (role: Role, facts: PartFacts): Part => ({ id: role, role, make: 'Make', name: role, facts })
const cpu = (facts: PartFacts = {}) => part('cpu', { cpuIndex: 100, threads: 12, cores: 6, ...facts })
const card = (facts: PartFacts = {}) =>
  part('graphics', { graphicsIndex: 100, vramGb: 8, upscales: true, generatesFrames: true, ...facts })
const board = (facts: PartFacts = {}) => part('motherboard', facts)
const kit = (facts: PartFacts = {}) => part('memory', { kitCount: 2, capacityGb: 16, ...facts })
const workload = demoWorkloads[0]!
const [preset] = Object.keys(workload.presets)
const settings = { width: 1920, height: 1080, preset: preset! }
const fps = (...parts: Part[]) => estimateFrameRate(workload, frameMachineOf(parts).machine!, settings)

describe('a card in its slot', () => {
  test.each([
    [{ lanes: 8, pcieVersion: 4 }, { lanes: 16, pcieVersion: 4 }, 0.98],
    [{ lanes: 8, pcieVersion: 4 }, { lanes: 16, pcieVersion: 3 }, 0.95],
    [{ lanes: 16, pcieVersion: 4 }, { lanes: 8, pcieVersion: 2 }, 0.88],
    [{ lanes: 4, pcieVersion: 4 }, { lanes: 16, pcieVersion: 4 }, 0.92],
    [{ lanes: 4, pcieVersion: 4 }, { lanes: 16, pcieVersion: 3 }, 0.82],
    [{ lanes: 16, pcieVersion: 3 }, { lanes: 4, pcieVersion: 2 }, 0.7],
    // four lanes of version 5 move what eight of version 4 do
    [{ lanes: 4, pcieVersion: 5 }, { lanes: 16, pcieVersion: 5 }, 0.98],
    [{ lanes: 8, pcieVersion: 5 }, { lanes: 16, pcieVersion: 5 }, 1],
    [{ lanes: 16, pcieVersion: 4 }, { lanes: 16 }, 1],
    [{ lanes: 8, pcieVersion: 4 }, { lanes: 16 }, null],
    [{ lanes: 8, pcieVersion: 4 }, {}, null],
    [{ lanes: 1, pcieVersion: 4 }, { lanes: 16, pcieVersion: 4 }, null],
  ] as const)('%j on %j keeps %s', (facts, slot, share) => {
    expect(slotShareOf(card(facts), board(slot))).toBe(share)
  })
  test('the factor divides the card’s side, and what is not known is a range with the fact named', () => {
    const narrow = { lanes: 8, pcieVersion: 4 }
    const known = fps(cpu(), card(narrow), board({ lanes: 16, pcieVersion: 3 }))
    expect(known.graphicsMs).toBeCloseTo(fps(cpu(), card(), board()).graphicsMs / 0.95, 9)
    const open = fps(cpu(), card(narrow), board({ lanes: 16 }))
    expect(open.unsure).toEqual(['PCIe version and lanes of Make motherboard'])
    expect(open.range.low).toBeLessThan(known.range.low)
    expect(open.range.high).toBeGreaterThan(known.range.high)
  })
  test('what a link moves: 8 lanes of version 3 are 8 GB/s, so short memory hurts √2 times as much', () => {
    const slot = board({ lanes: 8, pcieVersion: 3 })
    expect([linkOf(card({ lanes: 16, pcieVersion: 4 }), slot), linkOf(card({}), slot)]).toEqual([8, null])
  })
})

describe('graphics that live from the machine’s memory', () => {
  const drawing = cpu({ graphicsIndex: 22, vramGb: 2, maxMemoryMts: 3200, upscales: true })
  test('one stick is half the bandwidth: × 0.707; held between 0.5 and 1.22', () => {
    expect(memoryShareOf(drawing, 2, 3200)).toBe(1)
    expect(memoryShareOf(drawing, 1, 3200)).toBeCloseTo(Math.SQRT1_2, 12)
    expect(memoryShareOf(drawing, 1, 800)).toBe(0.5)
    expect(memoryShareOf(drawing, 2, 9600)).toBeCloseTo(Math.sqrt(1.5), 12)
    expect(memoryShareOf(cpu(), 2, 3200)).toBeNull()
  })
  test('on a machine: the slower of kit and board, and each unknown named with its range', () => {
    const of = (...more: Part[]) => frameMachineOf([drawing, ...more]).machine!
    expect(of(kit({ speedMts: 3600 }), board({ maxMemoryMts: 3200 })).memoryShare).toBe(1)
    expect(of(kit({ speedMts: 3200, kitCount: 1 })).memoryShare).toBeCloseTo(Math.SQRT1_2, 12)
    expect(of(kit()).unsure!.map(({ fact }) => fact)).toContain('speed of Make memory')
    const { maxMemoryMts: _, ...facts } = drawing.facts
    const unrated = frameMachineOf([{ ...drawing, facts }, kit({ speedMts: 3200 })]).machine!
    expect(unrated.unsure!.map(({ fact }) => fact)).toContain('max memory speed of Make cpu')
    // a card has memory of its own
    expect(frameMachineOf([drawing, card(), kit()]).machine!.memoryShare).toBeUndefined()
  })
})

describe('upscaling and generated frames', () => {
  const help = { ...settings, upscaling: 'quality', frameGeneration: true }
  const estimate = (facts: PartFacts, at = help) =>
    estimateFrameRate(workload, frameMachineOf([cpu(), card(facts)]).machine!, at)
  test('a card that can do neither draws as without; both figures stand apart', () => {
    const can = estimate({})
    const cannot = estimate({ upscales: false, generatesFrames: false })
    expect(cannot.averageFps).toBeCloseTo(fps(cpu(), card()).averageFps, 9)
    expect(cannot.generatedFps).toBeNull()
    expect(can.graphicsMs).toBeCloseTo(cannot.graphicsMs * workload.upscaling.quality!, 9)
    expect(can.generatedFps).toBeCloseTo(can.averageFps * workload.frameGenerationFactor, 9)
  })
  test('what the card can is asked only where the target counts on it', () => {
    const facts = { upscales: undefined, generatesFrames: undefined } as never
    expect(estimate(facts).unsure).toEqual([
      'upscaling of Make graphics',
      'frame generation of Make graphics',
    ])
    expect(estimate(facts, settings as never).unsure).toEqual([])
    const [open, cannot, can] = [facts, { upscales: false, generatesFrames: false }, {}].map((each) =>
      estimate(each),
    )
    expect(open!.range.low).toBeCloseTo(cannot!.range.low, 9)
    expect(open!.generatedRange!.low).toBeCloseTo(cannot!.range.low, 9)
    expect(open!.generatedRange!.high).toBeCloseTo(can!.generatedRange!.high, 9)
  })
  test('generated frames lift the average to its mark, never the lows', () => {
    const { lowFps, averageFps, range, lowRange, generatedRange } = estimate({})
    const wanted = averageFps * 1.3
    const without = { range, lowRange, generatedRange: null }
    const judged = (
      low: number | null,
      of: typeof without | { generatedRange: typeof generatedRange } = without,
    ) => judgeTarget({ range, lowRange, ...of }, { averageFps: wanted, lowFps: low })
    expect(judged(null)).not.toBe('met')
    expect(judged(null, { generatedRange })).not.toBe('missed')
    expect(judged(lowFps * 2, { generatedRange })).toBe('missed')
  })
  test('a target names what it counts on', () => {
    const named = { workload: 'Fenwalk', width: 2560, height: 1440, preset: 'high', upscaling: 'quality' }
    expect(targetName(named)).toBe('Fenwalk 1440p high, upscaled (quality)')
    expect(rateSettings({ ...named, upscaling: null })).toBe('2560x1440 high')
    expect(helpText({ upscaling: null, frameGeneration: true })).toBe(', with frame generation')
  })
})

test('the factors of a working multiply out to both sides’ times, whatever the machine', () => {
  const some = <T>(...values: T[]) => fc.constantFrom(...values)
  fc.assert(
    fc.property(
      fc.record({
        cpuIndex: fc.double({ min: 30, max: 200, noNaN: true }),
        graphicsIndex: fc.double({ min: 10, max: 300, noNaN: true }),
        threads: some(4, 6, 12, 16),
        videoMemoryGb: some(2, 4, 8, 12),
        memoryChannels: some(1, 2),
        memorySlow: fc.boolean(),
        slotShare: some(1, 0.95, 0.7),
        memoryShare: some(1, 0.5),
        linkGbs: some(4, 8, 32),
        upscales: fc.boolean(),
      }),
      some(...demoWorkloads),
      some(null, 'quality', 'performance'),
      (machine, each, upscaling) => {
        const at = { ...settings, preset: Object.keys(each.presets)[0]!, upscaling }
        const estimate = estimateFrameRate(each, machine, at)
        const factors = frameFactors(each, machine, at, anchorOf(each, undefined))
        const product = (side: 'graphics' | 'cpu') =>
          factors[side].reduce((all, { factor }) => all * factor, 1)
        expect(product('graphics') / estimate.graphicsMs).toBeCloseTo(1, 9)
        expect(product('cpu') / estimate.cpuMs).toBeCloseTo(1, 9)
      },
    ),
    { numRuns: 200 },
  )
})
