import { describe, expect, test } from 'vitest'
import { entryKinds, runningCash, signOf, type EntryKind } from '#core/ledger/ledger'
import { resale } from '#core/ledger/resale'

describe('entries', () => {
  test('run up by day, those of one day as they were made, whatever order they come in', () => {
    const list = [
      { id: 'b', day: '2026-10-02', cash: 500 },
      { id: 'a', day: '2026-10-02', cash: -900 },
      { id: 'c', day: '2026-10-01', cash: -100 },
    ]
    const standing = [
      { id: 'c', standing: -100 },
      { id: 'a', standing: -1000 },
      { id: 'b', standing: -500 },
    ]
    expect(runningCash(list)).toEqual(standing)
    expect(runningCash([...list].reverse())).toEqual(standing)
  })
  test('money of a kind goes one way; hours are no cash', () => {
    expect((Object.keys(entryKinds) as EntryKind[]).filter((kind) => signOf(kind) < 0)).toEqual([
      'bought',
      'fee',
      'travel',
      'sale-cost',
      'machine-sale-cost',
    ])
    expect(signOf('hours')).toBe(0)
  })
})

describe('resale', () => {
  test('whole against parting out, by hand', () => {
    // parts 200 + 100: whole 300 · 0.9 = 270, less 13 % = 234.90, less 20 = 214.90; one by one (200 · 0.87 − 8) · 0.9
    // + (100 · 0.87 − 8) · 0.9 = 149.40 + 71.10
    const result = resale({
      parts: [
        { id: 'a', typical: 20_000 },
        { id: 'b', typical: 10_000 },
        { id: 'c', typical: null },
      ],
      cost: 15_000,
      hours: 2,
      whole: { feePercent: 13, shipping: 2000 },
      single: { feePercent: 13, shipping: 800 },
    })
    expect(result.whole).toEqual({
      gross: 27_000,
      net: 21_490,
      profit: 6490,
      marginPercent: expect.closeTo(43.2667, 3),
      perHour: 3245,
      ask: 30_000,
    })
    expect(result.parting).toMatchObject({ gross: 30_000, net: 22_050, profit: 7050, perHour: 3525 })
    expect(result).toMatchObject({ better: 'parting', unknown: ['c'] })
  })
})
