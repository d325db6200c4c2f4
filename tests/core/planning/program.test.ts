import { describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import type { PlanProblem, PlanWay } from '#core/planning/problem'
import { programOf } from '#core/planning/program'

/** The program as it is written: what must stand in it, by its names. */
const part = (id: string, role: string, facts = {}) => ({ id, role, make: '', name: id, facts }) as Part
const way = (id: string, partId: string, more: Partial<PlanWay> = {}): PlanWay => ({
  id,
  source: null,
  things: [{ partId, resale: 0 }],
  price: 1000,
  expectedExtra: 0,
  perDay: null,
  ...more,
})
const problem = (more: Partial<PlanProblem> = {}): PlanProblem => ({
  goal: { kind: 'cheapest', budget: null, floors: [] },
  roles: ['cpu'],
  parts: new Map(
    [part('a', 'cpu'), part('b', 'cpu'), part('board', 'motherboard')].map((each) => [each.id, each]),
  ),
  ways: [way('one', 'a'), way('two', 'b', { price: 1500 })],
  sources: new Map(),
  codes: new Map(),
  frames: [],
  within: null,
  pins: [],
  bans: [],
  ...more,
})
/** Each row on a line of its own: the format breaks long ones. */
const textOf = (more: Partial<PlanProblem> = {}) =>
  programOf(problem(more), { kind: 'cost' }).text.replaceAll('\n  ', ' ')
/** The rows in which a variable stands. */
const rowsWith = (text: string, ...names: string[]) =>
  text.split('\n').filter((row) => names.every((name) => new RegExp(`\\b${name}\\b`).test(row)))

describe('the program of a plan', () => {
  test('a role is filled once, by a thing that is kept of a way that is taken', () => {
    const text = textOf()
    expect(rowsWith(text, 'y0_0', 'y1_0').some((row) => /= 1$/.test(row))).toBe(true)
    expect(rowsWith(text, 'x0', 'y0_0').length).toBeGreaterThan(0)
  })
  test('what is banned is never taken, what is pinned always', () => {
    expect(rowsWith(textOf({ bans: ['one'] }), 'x0').some((row) => /= 0$/.test(row))).toBe(true)
    expect(rowsWith(textOf({ pins: ['two'] }), 'x1').some((row) => /(>=|=) 1$/.test(row))).toBe(true)
  })
  test('a role that nothing can fill makes a row that no solution meets', () => {
    expect(textOf({ roles: ['cpu', 'case'] })).toMatch(/x0 <= -1/)
  })
  test('a budget bounds what is paid', () => {
    expect(textOf({ goal: { kind: 'cheapest', budget: 1234, floors: [] } })).toContain('1234')
    expect(textOf()).not.toContain('1234')
  })
  test('parts of one source are one order: its shipping once, and tax on all of it', () => {
    const shop = new Map([['shop', { shipping: 777, freeFrom: null, taxPercent: 13 }]])
    const text = textOf({
      sources: shop,
      ways: [way('one', 'a', { source: 'shop' }), way('two', 'b', { source: 'shop' })],
    })
    expect(rowsWith(text, 'x0', 'x1').length).toBeGreaterThan(0)
    expect(text).toContain('777')
    // without a way of it there is no order
    expect(textOf({ sources: shop })).not.toContain('777')
  })
  test('what is mine is there whatever is planned', () => {
    const text = textOf({ ways: [way('mine', 'a', { owned: true }), way('two', 'b')] })
    expect(rowsWith(text, 'x0').some((row) => /^ c\d+: (\+ )?(1 )?x0 = 1$/.test(row))).toBe(true)
  })
})
