import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
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
