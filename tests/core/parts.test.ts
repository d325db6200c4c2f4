import { describe, expect, test } from 'vitest'
import { yearlyFault, yearlyFaults } from '#core/comparison/adjustments/yearlyFaults'
import { askFor, netOfSale } from '#core/ledger/resale'
import { peakFactor } from '#core/machine/power/powerDraw'
import { takesBoard } from '#core/parts/boardSize'
import { startsMachine } from '#core/parts/startsMachine'
import { answerOf, answersIn, compared, hasVocabulary } from '#core/parts/vocabularies'
import { throttleNote } from '#core/performance/runs/throttling'
import { haggleWords } from '#core/supply/haggle/haggleWords'
import { plainText } from '#core/text/plainText'

describe('answers with a known set', () => {
  test.each([
    ['formFactor', 'mATX', 'micro-ATX'],
    ['formFactor', 'Mini ITX', 'mini-ITX'],
    ['mainPlug', '24-pin', 'ATX24'],
    ['formFactor', 'a maker’s own', null],
  ] as const)('%s: %s', (fact, spelling, wanted) => expect(answerOf(fact, spelling)).toBe(wanted))
  test('several in one text, each once, in the order of the set', () => {
    expect(new Set(answersIn('formFactor', 'ATX, mATX and mini-ITX (with adapter), atx'))).toEqual(
      new Set(['ATX', 'micro-ATX', 'mini-ITX']),
    )
    expect(answersIn('formFactor', 'any you like')).toEqual([])
  })
  test('texts are compared without case, accents, spaces and signs; a plus stays', () => {
    expect(compared('LN-4 Élan')).toBe(compared('ln4elan'))
    expect(compared('X+')).not.toBe(compared('X'))
    expect(plainText('Größe: ÉTÉ')).toBe(plainText('größe: été'))
    expect([hasVocabulary('formFactor'), hasVocabulary('lengthMm')]).toEqual([true, false])
  })
})

test.each([
  [['ATX'], 'mini-ITX', true],
  [['mini-ITX'], 'ATX', false],
  [['micro-ATX'], 'micro ATX', true],
  [['ATX'], 'Desk', false],
  [['Desk'], 'desk', true],
  [[], 'ATX', false],
])('a case of %s and a board of %s', (sizes, size, wanted) => expect(takesBoard(sizes, size)).toBe(wanted))

test.each([
  ['storage', { drive: 'hdd' }, false],
  ['storage', { drive: 'ssd' }, true],
  ['storage', {}, true],
  ['cpu', {}, true],
] as const)('a machine starts from %s %o', (role, facts, wanted) =>
  expect(startsMachine({ role, facts })).toBe(wanted),
)

describe('faults, power and heat', () => {
  test('a fault a year doubles from ten years of age on; platters have a figure of their own', () => {
    const table = yearlyFaults()
    const card = (year?: number) =>
      yearlyFault({ role: 'graphics', facts: year === undefined ? {} : { year } }, table, 2026)
    expect([card(2017), card(2016), card()]).toEqual([0.03, 0.06, 0.03])
    const drive = (kind: 'ssd' | 'hdd') =>
      yearlyFault({ role: 'storage', facts: { drive: kind } }, table, 2026)
    expect(drive('hdd')).toBeGreaterThan(drive('ssd'))
  })
  test('the peak of a large card goes further than that of a small one, never under one', () => {
    expect(peakFactor(300)).toBeGreaterThanOrEqual(peakFactor(75))
    expect(peakFactor(75)).toBeGreaterThanOrEqual(1)
  })
  test.each([
    [[], null],
    [[null], null],
    [['heat'], 'throttled in 1 of 1 run'],
    [['heat', null, 'heat'], 'throttled in 2 of 3 runs'],
  ] as const)('runs %o', (causes, wanted) =>
    expect(throttleNote(causes.map((lowsCause) => ({ lowsCause }) as never))).toBe(wanted),
  )
})

describe('selling and haggling', () => {
  test('a sale less its fee and a parcel, never below nothing; the ask that a haggle brings down to a price', () => {
    expect(netOfSale(200_00, { feePercent: 13, shipping: 9_50 })).toBe(164_50)
    expect(netOfSale(5_00, { feePercent: 0, shipping: 9_50 })).toBe(0)
    expect(askFor(310_00, 0.1)).toBe(344_44)
    expect(askFor(310_00, 0)).toBe(310_00)
  })
  test('what to do names what is asked', () => {
    expect(haggleWords('take', 'The latest counter-offer')).toMatch(
      /^The latest counter-offer is at or below/,
    )
    const all = (['take', 'haggle', 'far-apart', 'pass', 'not-known'] as const).map((advice) =>
      haggleWords(advice, 'The asking price'),
    )
    expect(new Set(all).size).toBe(5)
  })
})
