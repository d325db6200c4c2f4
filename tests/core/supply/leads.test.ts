import { describe, expect, test } from 'vitest'
import { sumMarks } from '#core/supply/leads/sumMarks'
import { valueLead, type LeadToValue } from '#core/supply/leads/valueLead'
import { cadFaults } from './faults'
import { rateTable } from '#core/money/rates'

const street: Readonly<Record<string, number>> = { cpu: 9200, board: 6100, card: 2600 }
const context = {
  currency: 'CAD',
  today: '2026-10-31',
  rates: rateTable([{ date: '2026-10-01', from: 'SEK', to: 'CAD', rate: '0.13' }]),
  streetOf: (id: string) => street[id] ?? null,
  assumptions: cadFaults(),
}
const lead = (change: Partial<LeadToValue> = {}): LeadToValue => ({
  id: 'l',
  title: 'a lot',
  price: 12_800,
  currency: 'CAD',
  condition: 'used',
  shipping: null,
  protection: 'none',
  codes: [],
  rebates: [],
  terms: { taxPercent: 0, taxOnShipping: false, shipping: { kind: 'none', amount: 0 } },
  things: [
    { partId: 'cpu', role: 'cpu', quantity: 1, plan: 'keep' },
    { partId: 'board', role: 'motherboard', quantity: 1, plan: 'keep' },
    { partId: 'card', role: 'graphics', quantity: 1, plan: 'resell' },
  ],
  ...change,
})

describe('valueLead', () => {
  test('a lot with one thing sold on, by hand', () => {
    // P = (0.02 · 92 + 0.07 · 61 + 0.08 · 26) / 179 = 0.045754; loss = P · (128.00 + 8.00) = 6.22; resale 0.9 · 26.00 = 23.40
    const value = valueLead(lead(), context)
    expect(value).toMatchObject({
      payNow: 12_800,
      expected: 13_422,
      resale: 2340,
      expectedAfterResale: 11_082,
      street: 15_300,
      saving: 4218,
      openRebates: 0,
    })
    expect(value.faultProbability).toBeCloseTo((0.02 * 92 + 0.07 * 61 + 0.08 * 26) / 179, 5)
    // 104.60 over 92 : 61
    expect(value.split.things.map((thing) => thing.effectiveCost?.amount ?? null)).toEqual([6290, 4170, null])
  })
  test("another currency: each total converted at today's rate, the waterfall left as it is", () => {
    const value = valueLead(lead({ currency: 'SEK', price: 100_000 }), context)
    expect([value.landed.payNow.amount, value.payNow, value.ask]).toEqual([100_000, 13_000, 13_000])
    expect(() => valueLead(lead({ currency: 'CHF' }), context)).toThrow('no exchange rate from CHF to CAD')
  })
  test('a kept thing without a street price leaves the saving unknown', () => {
    expect(
      valueLead(lead({ things: [{ partId: 'ghost', role: 'case', quantity: 1, plan: 'keep' }] }), context),
    ).toMatchObject({ street: null, saving: null })
  })
  test('a paid rebate lowers the total and is no longer to come back', () => {
    const rebate = { id: 'r', amount: 1000, claimBy: '2026-11-30' }
    expect(valueLead(lead({ rebates: [{ ...rebate, state: 'paid' }] }), context)).toMatchObject({
      afterRebates: 11_800,
      openRebates: 0,
    })
    expect(valueLead(lead({ rebates: [{ ...rebate, state: 'claimed' }] }), context)).toMatchObject({
      afterRebates: 11_800,
      openRebates: 1000,
    })
  })
  test("stated delivery takes the place of the source's terms", () => {
    expect(valueLead(lead({ shipping: 950 }), context).payNow).toBe(13_750)
  })
})

describe('sumMarks', () => {
  const marks = { patient: 10, typical: 12, hurried: 15 }
  test('counts pieces; one thing without marks leaves the sum unknown', () => {
    expect(
      sumMarks([
        { marks, quantity: 2 },
        { marks, quantity: 1 },
      ]),
    ).toEqual({ patient: 30, typical: 36, hurried: 45 })
    expect(
      sumMarks([
        { marks, quantity: 1 },
        { marks: null, quantity: 1 },
      ]),
    ).toBeNull()
  })
})
