import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Part, PartFacts, Role } from '#core/parts/part'
import { baseMachines, supplyFor } from '#core/machine/upgrades/baseMachines'
import { capSplits } from '#core/machine/upgrades/capSplit'
import { indexOfPart, rankedRoles } from '#core/parts/indexOfPart'
import { agreementOf } from '#core/supply/ways/opinions'
import { bestAtEach, worthBuying, type Candidate } from '#core/supply/ways/worthBuying'

const candidate = (
  id: string,
  price: number,
  index: number,
  targetRatio: number | null = null,
): Candidate => ({ id, name: id, price, index, targetRatio })

describe('worthBuying', () => {
  test('who costs no less and brings no more is beaten; steps say what they add', () => {
    const { steps, beaten, perPoint } = worthBuying([
      candidate('b', 12_000, 100),
      candidate('a', 10_000, 80),
      candidate('c', 12_500, 90),
      candidate('d', 20_000, 150),
    ])
    expect(steps.map((step) => step.id)).toEqual(['a', 'b', 'd'])
    expect(beaten).toEqual([{ id: 'c', by: 'b' }])
    expect(steps[1]!.added).toMatchObject({
      money: 2000,
      indexPercent: 25,
      targetPercent: null,
      perPercent: 80,
    })
    expect(perPoint.get('a')).toBe(125)
  })
  test('in the targets the ratio decides; above every target is surplus', () => {
    const { steps } = worthBuying([
      candidate('low', 8000, 60, 0.8),
      candidate('meets', 12_000, 90, 1.02),
      candidate('more', 18_000, 120, 1.3),
      candidate('capped', 19_000, 140, 1.3),
    ])
    expect(steps.map(({ id, surplus }) => [id, surplus])).toEqual([
      ['low', false],
      ['meets', false],
      ['more', true],
      ['capped', true],
    ])
  })
  const some = fc.uniqueArray(
    fc.record({
      id: fc.string({ minLength: 1, maxLength: 3 }),
      price: fc.integer({ min: 1, max: 60 }),
      index: fc.integer({ min: 1, max: 40 }),
    }),
    { maxLength: 14, selector: (each) => each.id },
  )
  test('agrees with asking of every pair who beats whom, in any order', () => {
    fc.assert(
      fc.property(some, (list) => {
        const candidates = list.map(({ id, price, index }) => candidate(id, price, index))
        const isBeaten = (each: Candidate) =>
          candidates.some(
            (other) =>
              other !== each &&
              other.price <= each.price &&
              other.index >= each.index &&
              (other.price < each.price || other.index > each.index || other.id < each.id),
          )
        const expected = candidates
          .filter((each) => !isBeaten(each))
          .map((each) => each.id)
          .sort()
        expect(
          worthBuying(candidates)
            .steps.map((step) => step.id)
            .sort(),
        ).toEqual(expected)
        expect(worthBuying([...candidates].reverse())).toEqual(worthBuying(candidates))
      }),
    )
  })
  test('best at each price is the highest index within it', () => {
    expect(
      bestAtEach([candidate('a', 10, 5), candidate('b', 20, 9), candidate('c', 20, 8)], [5, 10, 25]),
    ).toEqual([
      { limit: 5, id: null },
      { limit: 10, id: 'a' },
      { limit: 25, id: 'b' },
    ])
  })
})

describe('capSplits', () => {
  const option = (id: string, price: number) => ({ id, name: id, price })
  test('the best split is that of trying every pair; pairs that cannot be joined are out', () => {
    const options = fc.uniqueArray(
      fc.record({ id: fc.string({ minLength: 1, maxLength: 2 }), price: fc.integer({ min: 1, max: 50 }) }),
      { minLength: 1, maxLength: 7, selector: (each) => each.id },
    )
    fc.assert(
      fc.property(options, options, fc.integer({ min: 10, max: 90 }), (bases, cards, cap) => {
        const ratio = (base: { price: number }, card: { price: number }) =>
          Math.min(base.price / 20, card.price / 30)
        const joint = (base: { price: number }, card: { price: number }) =>
          (base.price + card.price) % 7 === 0 ? null : 5
        const splits = capSplits(
          bases.map((each) => option(each.id, each.price)),
          cards.map((each) => option(each.id, each.price)),
          cap,
          { joint, weakest: ratio },
        )
        const best = Math.max(
          0,
          ...bases.flatMap((base) =>
            cards
              .filter((card) => joint(base, card) !== null && base.price + card.price + 5 <= cap)
              .map((card) => ratio(base, card)),
          ),
        )
        expect(splits[0]?.weakest ?? 0).toBe(best)
        for (const [index, split] of splits.entries()) {
          expect(split.total).toBe(split.base.price + split.card.price + split.joint)
          expect(split.total + split.left).toBe(cap)
          const before = splits[index - 1]
          if (before) expect(split.total < before.total && split.weakest <= before.weakest).toBe(true)
        }
      }),
    )
  })
})

describe('baseMachines', () => {
  const part = (id: string, role: Role, price: number, facts: PartFacts) => ({
    part: { id, role, make: '', name: id, facts } satisfies Part,
    price,
  })
  const parts = [
    part('cpu', 'cpu', 50, { socket: 'A', cpuIndex: 90, limitW: 65 }),
    part('odd', 'cpu', 10, { socket: 'Z', cpuIndex: 90 }),
    part('board', 'motherboard', 40, {
      socket: 'A',
      memoryGeneration: 'DDR4',
      formFactor: 'ATX',
      memorySlots: 2,
    }),
    part('kit', 'memory', 30, { memoryGeneration: 'DDR4', kitCount: 2, capacityGb: 16 }),
    part('laptop', 'memory', 5, { memoryGeneration: 'DDR4', kitCount: 2, capacityGb: 16, module: 'laptop' }),
    part('four', 'memory', 9, { memoryGeneration: 'DDR4', kitCount: 4, capacityGb: 16 }),
    part('ssd', 'storage', 25, { drive: 'ssd', capacityGb: 500 }),
    part('hdd', 'storage', 5, { drive: 'hdd', capacityGb: 2000 }),
    part('box', 'case', 20, { boardSizes: ['ATX'], maxCoolerMm: 150 }),
    part('tall', 'cooler', 8, { coolerSockets: ['A'], coolerW: 90, heightMm: 160 }),
    part('fits', 'cooler', 12, { coolerSockets: ['A'], coolerW: 90, heightMm: 140 }),
    part('weak', 'supply', 20, { ratedW: 300, eightPinLeads: 1 }),
    part('strong', 'supply', 45, { ratedW: 500, eightPinLeads: 1 }),
    part('sfx', 'supply', 30, { ratedW: 600, eightPinLeads: 2, supplyShape: 'SFX' }),
  ]
  test('the cheapest that goes together; a CPU without a board is left out', () => {
    const bases = baseMachines(parts)
    expect(bases.map((base) => [base.id, base.price, base.parts.map((each) => each.part.id)])).toEqual([
      ['cpu', 177, ['cpu', 'board', 'kit', 'ssd', 'box', 'fits']],
    ])
  })
  test('the supply is strong enough for both, of the usual shape, with the leads', () => {
    const card = (boardPowerW: number, eightPinLeads = 1) => ({
      id: 'card',
      role: 'graphics' as const,
      make: '',
      name: 'card',
      facts: { boardPowerW, eightPinLeads },
    })
    expect(supplyFor(parts, parts[0]!.part, card(130))!.part.id).toBe('strong') // 255 W · 1.5 = 382.5
    expect(supplyFor(parts, parts[0]!.part, card(60))!.part.id).toBe('weak')
    expect(supplyFor(parts, parts[0]!.part, card(130, 2))).toBeNull()
  })
  test('what a part is ranked by', () => {
    expect(indexOfPart(parts[0]!.part)).toBe(90)
    expect(indexOfPart(parts[4]!.part)).toBeNull()
    expect(rankedRoles).toContain('graphics')
  })
})

describe('agreementOf', () => {
  const says = (guide: string, verdict: 'buy' | 'fine' | 'avoid', saidOn = '2026-10-01') => ({
    guide,
    verdict,
    saidOn,
  })
  test.each([
    ['none', [], { state: 'none', verdict: null }],
    ['one voice', [says('a', 'buy')], { state: 'one-voice', verdict: 'buy' }],
    ['all the same', [says('a', 'buy'), says('b', 'buy')], { state: 'agree', verdict: 'buy' }],
    [
      'two of three',
      [says('a', 'buy'), says('b', 'avoid'), says('c', 'buy')],
      { state: 'mostly', verdict: 'buy' },
    ],
    ['split', [says('a', 'buy'), says('b', 'avoid')], { state: 'split', verdict: null }],
    [
      'a guide counts by what it said last',
      [says('A ', 'avoid', '2026-10-09'), says('a', 'buy', '2026-09-01'), says('b', 'avoid')],
      { state: 'agree', verdict: 'avoid' },
    ],
  ] as const)('%s', (_, opinions, expected) => expect(agreementOf(opinions)).toMatchObject(expected))
})
