import { describe, expect, test } from 'vitest'
import { cadFaults } from '../core/supply/faults'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import type { BuildPlan } from '#core/planning/planBuild'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { OfferView } from '#shared/prices/views'
import { newPathWorking, rhythmWorking, tippingWorking, usedPathWorking } from '~/workings/newOrUsedWorkings'
import { planWorking } from '~/workings/planWorkings'
import type { Working } from '~/workings/working'

/** Workings that need no database: every line has a value, and what is a sum says the figure beside it. */
const values = (working: Working) => working.lines.map(({ label, value }) => [label, value])
const valueOf = (working: Working, label: string) =>
  working.lines.find((line) => line.label.startsWith(label))?.value

describe('new or used', () => {
  // by hand, a hassle of 8.00 and no protection: used 100 + 0.08 · (100 + 8) = 108.64, new 130 − 0.016 · 130 = 127.92
  const both = newOrUsed({ assumptions: cadFaults(), role: 'graphics', street: 10_000, fresh: 13_000 })
  test('both ways: what they are made of comes out at their totals', () => {
    const used = usedPathWorking('Quill 70', both, 'CAD')
    expect(used).toMatchObject({ title: 'Quill 70: bought used', result: '108.64' })
    expect(valueOf(used, 'street price')).toBe('100.00')
    expect(valueOf(used, 'P(fault)')).toBe('8.0 %')
    expect(valueOf(used, 'share recovered')).toBe('0 %')
    expect(valueOf(used, 'fault loss')).toBe('8.64')
    const fresh = newPathWorking('Quill 70', both, 'CAD')
    expect(fresh.result).toBe('127.92')
    expect(valueOf(fresh, 'cheapest shop')).toBe('130.00')
    expect(valueOf(fresh, 'value of the warranty')).toBe('−2.08')
    // (127.92 − 0.08 · 8) / 1.08
    expect(tippingWorking('Quill 70', both, 'CAD').result).toBe('117.85')
  })
  test('a way that is not there has no lines and no result', () => {
    const none = { used: null, fresh: null, tippingUsedPrice: null } as never
    expect(usedPathWorking('Quill 70', none, 'CAD')).toMatchObject({ result: '—', lines: [] })
    expect(newPathWorking('Quill 70', none, 'CAD')).toMatchObject({ result: '—', lines: [] })
    expect(values(tippingWorking('Quill 70', none, 'CAD'))).toEqual([
      ['new, total', '—'],
      ['used today', '—'],
    ])
  })
})

test('a shop’s rhythm: what is known of it, and the last sales first', () => {
  const sale = (from: string, lowest: number) => ({ from, to: from, lowest })
  const rhythm = {
    everyDays: 31.4,
    usualBy: 'median',
    usual: 12_000,
    floor: 9900,
    sinceLast: 12,
    expectedWait: 19.4,
    sales: Array.from({ length: 10 }, (_, at) => sale(`2026-0${Math.min(9, at + 1)}-01`, 9900 + at)),
  }
  const working = rhythmWorking('Quill 70', { sourceName: 'Pantry', rhythm } as unknown as OfferView, 'CAD')
  expect(working.result).toBe('every 31 days')
  expect(valueOf(working, 'usual price (median')).toBe('120.00')
  expect(valueOf(working, 'days to the next')).toBe('19')
  const sales = working.lines.slice(4)
  expect(sales).toHaveLength(8)
  expect(sales[0]!.value).toBe('99.09')
  const unknown = rhythmWorking(
    'Quill 70',
    {
      sourceName: 'Pantry',
      rhythm: { ...rhythm, everyDays: null, sinceLast: null, expectedWait: null, sales: [] },
    } as unknown as OfferView,
    'CAD',
  )
  expect(unknown.result).toBe('no pattern yet')
  expect([valueOf(unknown, 'days since'), valueOf(unknown, 'days to the next')]).toEqual(['—', '—'])
})

describe('a plan', () => {
  const way = (id: string, expected: number, perDay: number | null = null) => ({
    id,
    text: `way ${id}`,
    from: 'Yard',
    expected,
    payNow: expected,
    perDay,
  })
  const plan = {
    status: 'optimal',
    cost: 30_000,
    payNow: 31_000,
    rounds: 3,
    ways: [way('a', 12_000), way('b', 18_000, 0.2)],
    orders: [{ name: 'Pantry', wayIds: ['a', 'b'], shipping: 900, codes: ['SAVE5'], payNow: 29_000 }],
    sold: [{ way: way('c', 0), brings: 2500 }],
  } as unknown as BuildPlan
  const question = { currency: 'CAD', ways: new Array(120) } as unknown as BuildQuestion
  const working = planWorking(plan, question)
  test('its ways add up to what is expected; hunts are estimates', () => {
    const ways = working.lines.slice(0, 2)
    expect(ways.reduce((sum, { value }) => sum + Number(value), 0)).toBe(300)
    expect(ways.map(({ kind }) => kind)).toEqual(['lead', 'estimate'])
    expect(working.result).toBe('expected total 300.00, total 310.00')
  })
  test('an order says its shipping and its code; what is sold is taken off', () => {
    expect(working.lines[2]).toMatchObject({
      label: '2 in one order at Pantry',
      note: 'shipping 9.00, paid once, code SAVE5, included in the lines above',
    })
    expect(working.lines[3]).toMatchObject({ label: 'way c, sold', value: '−25.00' })
  })
  test('it says whether it is proven, through how many ways and how often one was sent back', () => {
    expect(valueOf(working, 'options considered')).toBe('120')
    expect(valueOf(working, 'machines sent back by fit check, frames or order')).toBe('2')
    expect(JSON.stringify(working)).toContain('proven: no other combination')
    expect(
      JSON.stringify(planWorking({ ...plan, status: 'feasible', bound: 29_499.2 } as never, question)),
    ).toContain('none costs less than 295.00')
  })
})
