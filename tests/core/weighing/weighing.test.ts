import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { receipt, type ReceiptLine } from '#core/receipt/receipt'
import { compareRates } from '#core/weighing/compareRates'
import { likeForLike } from '#core/weighing/likeForLike'
import type { WeighedMachine } from '#core/weighing/machine'
import { weighingVerdict } from '#core/weighing/verdict'

const machine = (change: Partial<WeighedMachine> = {}): WeighedMachine => ({
  id: 'own', name: 'Own', kind: 'build', price: 60_000, taxPercent: 0, shipping: 0, brings: [], rates: [], notStated: [], ...change,
})
const rate = (workloadId: string, averageFps: number, settings: string | null = '1920x1080 high') => ({ workloadId, settings, averageFps, lowFps: null, kind: 'stated' as const })
const verdictOf = (own: WeighedMachine, other: WeighedMachine) => weighingVerdict({
  ownName: own.name, otherName: other.name, ownCost: likeForLike(own, {}).total, otherCost: likeForLike(other, {}).total, comparison: compareRates(own, other), notStated: other.notStated, formatMoney: String,
})

describe('likeForLike', () => {
  test('a prebuilt, by hand: 949.00 + 13 % + 35.00, lacking a keyboard and a controller', () => {
    const cost = likeForLike(machine({ price: 94_900, taxPercent: 13, shipping: 3500, brings: ['licence'] }), { licence: 2400, 'keyboard-mouse': 2800, controller: 3900 })
    expect(cost.steps.map((step) => [step.id, step.amount])).toEqual([['price', 94_900], ['tax', 12_337], ['shipping', 3500], ['keyboard-mouse', 2800], ['controller', 3900]])
    expect(cost.total).toBe(117_437)
  })
  test('steps add up; switching one off and on again gives the same figure', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 0, max: 30 }), fc.subarray(['licence', 'controller'] as const), (price, taxPercent, brings) => {
      const needs = { licence: 2400, controller: 3900 }
      const own = machine({ price, taxPercent, brings })
      const whole = likeForLike(own, needs)
      expect(whole.steps.reduce((sum, step) => sum + step.amount, 0)).toBe(whole.total)
      const without = likeForLike(own, needs, new Set(['tax']))
      expect(without.total + (whole.steps.find((step) => step.id === 'tax')?.amount ?? 0)).toBe(whole.total)
      expect(likeForLike(own, needs, new Set())).toEqual(whole)
    }))
  })
})

describe('compareRates and weighingVerdict', () => {
  test('the mean of ratios is geometric and leaves out what is not like for like', () => {
    const comparison = compareRates(machine({ rates: [rate('a', 80), rate('b', 50), rate('c', 60), rate('d', 60)] }), machine({ id: 'x', rates: [rate('a', 40), rate('b', 100), rate('c', 30, null)] }))
    expect(comparison.meanRatio).toBeCloseTo(1, 12) // √(2 · 0.5)
    expect(comparison.pairs.map((pair) => pair.likeForLike)).toEqual([true, true, false])
    expect(comparison.missing).toEqual(['d'])
  })
  test('unknown settings on both sides are not the same settings', () => {
    expect(compareRates(machine({ rates: [rate('a', 60, null)] }), machine({ rates: [rate('a', 60, null)] })).meanRatio).toBeNull()
  })
  test('reads well and says what is not known', () => {
    const own = machine({ name: 'Couch corner', price: 60_000, rates: [rate('a', 72)] })
    const other = machine({ name: 'Brindlewick', price: 90_000, rates: [rate('a', 60)], notStated: ['memory speed'] })
    expect(verdictOf(own, other)).toEqual({ winner: 'own', sentence: 'Build it: Couch corner costs 30000 less to own than Brindlewick and is 20 % faster at the same settings (1 workload).', unknown: 'its seller does not state memory speed' })
    expect(verdictOf(own, machine({ ...other, rates: [] })).winner).toBe('depends')
  })
  test('swapping the machines swaps the winner; better and cheaper always wins', () => {
    const figure = fc.integer({ min: 20, max: 200 })
    fc.assert(fc.property(figure, figure, fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 1e6 }), (ownFps, otherFps, ownPrice, otherPrice) => {
      const own = machine({ price: ownPrice, rates: [rate('a', ownFps)] })
      const other = machine({ id: 'other', name: 'Other', price: otherPrice, rates: [rate('a', otherFps)] })
      const [there, back] = [verdictOf(own, other).winner, verdictOf(other, own).winner]
      expect(back).toBe({ own: 'other', other: 'own', depends: 'depends' }[there])
      if (ownPrice < otherPrice && ownFps > otherFps) expect(there).toBe('own')
    }))
  })
})

describe('receipt', () => {
  const line = (change: Partial<ReceiptLine> = {}): ReceiptLine => ({ id: 'a', label: 'a', role: 'cpu', scope: 'core', kind: 'lead', payNow: 10_000, afterRebates: 9000, expected: 9500, anyoneCanPay: 12_000, toComeBack: 1000, ...change })
  test('groups by kind of money, totals cumulative by scope', () => {
    const account = receipt('CAD', [line({ kind: 'paid' }), line({ id: 'b', scope: 'ready', anyoneCanPay: null }), line({ id: 'c', scope: 'test', kind: 'owned', payNow: 0, afterRebates: 0, expected: 0, toComeBack: 0 })], { budget: 15_000, stretch: 20_000 })
    expect(account.byScope.map((each) => each.totals.payNow)).toEqual([10_000, 20_000, 20_000])
    expect(account).toMatchObject({ paid: 10_000, left: -5000, state: 'stretch', totals: { payNow: 20_000, afterRebates: 18_000, expected: 19_000, anyoneCanPay: 24_000, unknownStreet: 1 } })
    expect([account.groups.paid.length, account.groups.toBuy.length, account.groups.owned.length, account.groups.toComeBack.length]).toEqual([1, 1, 1, 2])
  })
  test('the budget\'s edge is within, the stretch\'s edge is stretch, past it over', () => {
    const state = (payNow: number) => receipt('CAD', [line({ payNow })], { budget: 100, stretch: 200 }).state
    expect([state(100), state(200), state(201)]).toEqual(['within', 'stretch', 'over'])
    expect(() => receipt('CAD', [], { budget: 2, stretch: 1 })).toThrow('stretch')
  })
  test('the order of the lines changes no total', () => {
    fc.assert(fc.property(fc.array(fc.integer({ min: 0, max: 1e6 }), { maxLength: 10 }), (prices) => {
      const lines = prices.map((payNow, i) => line({ id: String(i), payNow, scope: (['core', 'ready', 'test'] as const)[i % 3]! }))
      const limits = { budget: 1, stretch: 2 }
      expect(receipt('CAD', [...lines].reverse(), limits).byScope).toEqual(receipt('CAD', lines, limits).byScope)
    }))
  })
})
