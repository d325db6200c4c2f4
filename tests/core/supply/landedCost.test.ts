import fc from 'fast-check'
import { cadFaults } from './faults'
import { describe, expect, test } from 'vitest'
import { applyCodes, codeApplies, legalCodeSets, type Code } from '#core/supply/landed/codes'
import { landedCost, type Order } from '#core/supply/landed/landedCost'
import { faultProbability, readSigns } from '#core/supply/risk/faultRisk'

const order = (change: Partial<Order> = {}): Order => ({
  currency: 'CAD',
  asOf: '2026-10-31',
  source: {
    taxPercent: 13,
    taxOnShipping: true,
    shipping: { kind: 'per-order', amount: 999, freeFrom: 15_000 },
  },
  items: [{ id: 'cpu', role: 'cpu', price: 10_000, quantity: 1 }],
  codes: [],
  rebates: [],
  extras: [],
  ...change,
})
const code = (id: string, change: Partial<Code> = {}): Code => ({
  id,
  kind: 'percent',
  value: 10,
  scope: {},
  stackable: true,
  ...change,
})
const amounts = (change: Partial<Order>) => {
  const { payNow, afterRebates, expected, codesUsed } = landedCost(order(change))
  return { payNow: payNow.amount, afterRebates: afterRebates.amount, expected: expected.amount, codesUsed }
}

describe('landedCost, worked by hand', () => {
  test('threshold just missed: 149.99 pays shipping and its tax', () => {
    // 149.99 + 9.99 = 159.98; 13 % = 20.7974 → 20.80; together 180.78
    expect(amounts({ items: [{ id: 'a', role: 'cpu', price: 14_999, quantity: 1 }] }).payNow).toBe(18_078)
    // 150.00 is at the threshold: free; 19.50 tax
    expect(amounts({ items: [{ id: 'a', role: 'cpu', price: 15_000, quantity: 1 }] }).payNow).toBe(16_950)
  })
  test('a code that drops the order below the threshold is left unused', () => {
    // 151.00 is free of shipping: · 1.13 = 170.63; with 1 % off, 149.49 + 9.99 = 159.48 · 1.13 = 180.21
    expect(
      amounts({
        items: [{ id: 'a', role: 'cpu', price: 15_100, quantity: 1 }],
        codes: [code('ONE', { value: 1 })],
      }),
    ).toMatchObject({ payNow: 17_063, codesUsed: [] })
  })
  test('stackable codes work one after the other, percent before fixed', () => {
    // 100.00 − 10 % = 90.00 − 5.00 = 85.00; + 9.99 = 94.99; tax 12.3487 → 12.35
    expect(amounts({ codes: [code('FIVE', { kind: 'fixed', value: 500 }), code('TEN')] })).toMatchObject({
      payNow: 10_734,
      codesUsed: ['FIVE', 'TEN'],
    })
  })
  test('one that is not stackable stands alone where it is better', () => {
    // alone 20 %: 80.00 + 9.99 = 89.99 · 1.13 = 101.69
    expect(amounts({ codes: [code('TEN'), code('LONE', { value: 20, stackable: false })] })).toMatchObject({
      payNow: 10_169,
      codesUsed: ['LONE'],
    })
  })
  test('a capped percent takes no more than its cap', () => {
    // 50 % of 100.00 capped at 15.00: 85.00 + 9.99 = 94.99 → 107.34
    expect(amounts({ codes: [code('HALF', { value: 50, cap: 1500 })] }).payNow).toBe(10_734)
  })
  test('minimum spend is measured before codes, a lapsed code does not work', () => {
    expect(
      codeApplies(code('A', { minSpend: 10_000 }), [{ id: 'a', role: 'cpu', amount: 10_000 }], '2026-10-31'),
    ).toBe(true)
    expect(
      codeApplies(code('A', { minSpend: 10_001 }), [{ id: 'a', role: 'cpu', amount: 10_000 }], '2026-10-31'),
    ).toBe(false)
    expect(
      codeApplies(
        code('A', { validUntil: '2026-10-31' }),
        [{ id: 'a', role: 'cpu', amount: 1 }],
        '2026-10-31',
      ),
    ).toBe(true)
    expect(
      codeApplies(
        code('A', { validUntil: '2026-10-30' }),
        [{ id: 'a', role: 'cpu', amount: 1 }],
        '2026-10-31',
      ),
    ).toBe(false)
  })
  test("a code on one role is split over that role's lines only, odd cents by largest remainder", () => {
    const lines = [
      { id: 'a', role: 'memory', amount: 3333 },
      { id: 'b', role: 'cpu', amount: 9000 },
      { id: 'c', role: 'memory', amount: 3333 },
    ]
    // 10 % of 66.66 = 6.666 → 6.67: 3.34 on the first line, 3.33 on the last
    expect(applyCodes([code('M', { scope: { role: 'memory' } })], lines)).toEqual({
      remaining: [2999, 9000, 3000],
      taken: [{ id: 'M', amount: 667 }],
    })
  })
  test('rebates: open in full and by chance, claimed past its day still open, missed not at all', () => {
    const rebate = { id: 'r', amount: 2000, claimBy: '2026-10-31' }
    const base = amounts({}).payNow // 100.00 + 9.99 = 109.99 · 1.13 = 124.29
    expect(base).toBe(12_429)
    expect(amounts({ rebates: [{ ...rebate, state: 'to-claim' }] })).toMatchObject({
      afterRebates: 10_429,
      expected: 10_729,
    }) // 0.85 · 20.00 = 17.00
    expect(amounts({ asOf: '2026-11-01', rebates: [{ ...rebate, state: 'to-claim' }] })).toMatchObject({
      afterRebates: base,
      expected: base,
    })
    expect(
      amounts({ asOf: '2026-11-01', rebates: [{ ...rebate, state: 'claimed', chance: 0.5 }] }),
    ).toMatchObject({ afterRebates: 10_429, expected: 11_429 })
    expect(amounts({ rebates: [{ ...rebate, state: 'paid', chance: 0.5 }] })).toMatchObject({
      afterRebates: 10_429,
      expected: 10_429,
    })
    expect(
      amounts({
        rebates: [
          { ...rebate, state: 'missed' },
          { ...rebate, id: 's', state: 'refused' },
        ],
      }),
    ).toMatchObject({ afterRebates: base, expected: base })
  })
  test('fault loss: 10 % of what is not recovered, with its tax, and the hassle', () => {
    // 0.1 · ((1 − 0.5) · 100.00 · 1.13 + 8.00) = 6.45
    const item = {
      id: 'a',
      role: 'cpu',
      price: 10_000,
      quantity: 1,
      faultProbability: 0.1,
      recoveredShare: 0.5,
    }
    expect(amounts({ items: [item], hassle: 800 }).expected).toBe(12_429 + 645)
  })
  test('pickup replaces shipping and carries neither tax nor fee', () => {
    // 12.5 km · 0.55 = 6.875 + 2.40 + 0.5 h · 10.00 = 14.275 → 14.28; private sale: no tax; 3 % fee on 100.00
    const source = { ...order().source, taxPercent: 0, paymentFeePercent: 3 }
    expect(
      amounts({ source, pickup: { km: 12.5, perKm: 55, fare: 240, hours: 0.5, perHour: 1000 } }).payNow,
    ).toBe(10_000 + 1428 + 300)
  })
  test('per-item shipping counts the pieces; no tax on it where the source says so', () => {
    const source = {
      taxPercent: 25,
      taxOnShipping: false,
      shipping: { kind: 'per-item' as const, amount: 300 },
    }
    expect(amounts({ source, items: [{ id: 'a', role: 'memory', price: 2000, quantity: 3 }] }).payNow).toBe(
      6000 + 900 + 1500,
    )
  })
  test('import from the threshold on: duty, then tax on goods and duty', () => {
    const terms = { dutyPercent: 5, taxPercent: 10, freeUnder: 10_000 }
    const source = { taxPercent: 0, taxOnShipping: false, shipping: { kind: 'none' as const, amount: 0 } }
    expect(amounts({ source, import: terms }).payNow).toBe(10_000 + 500 + 1050)
    expect(amounts({ source, import: { ...terms, freeUnder: 10_001 } }).payNow).toBe(10_000)
  })
  test('extras are added as they are', () => {
    expect(amounts({ extras: [{ label: 'I/O shield', amount: 400 }] }).payNow).toBe(12_829)
  })
})

describe('landedCost, always', () => {
  const arbitraryCode = fc.record({
    kind: fc.constantFrom('percent' as const, 'fixed' as const),
    value: fc.integer({ min: 0, max: 60 }),
    stackable: fc.boolean(),
    minSpend: fc.option(fc.integer({ min: 0, max: 30_000 }), { nil: undefined }),
    cap: fc.option(fc.integer({ min: 0, max: 3000 }), { nil: undefined }),
    scope: fc.constantFrom({}, { role: 'memory' }, { itemId: 'i0' }),
  })
  const arbitraryItems = fc.array(
    fc.record({
      role: fc.constantFrom('cpu', 'memory'),
      price: fc.integer({ min: 0, max: 20_000 }),
      quantity: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 4 },
  )

  test("lines add up to pay now; the codes' order does not matter; no legal set is better", () => {
    fc.assert(
      fc.property(arbitraryItems, fc.array(arbitraryCode, { maxLength: 5 }), (items, codes) => {
        const named = codes.map(({ minSpend, cap, ...each }, i): Code => ({
          ...each,
          value: each.kind === 'fixed' ? each.value * 50 : each.value,
          id: `c${i}`,
          ...(minSpend === undefined ? {} : { minSpend }),
          ...(cap === undefined ? {} : { cap }),
        }))
        const whole = order({ items: items.map((item, i) => ({ ...item, id: `i${i}` })), codes: named })
        const best = landedCost(whole)
        expect(best.lines.reduce((sum, line) => sum + line.amount.amount, 0)).toBe(best.payNow.amount)
        expect(landedCost({ ...whole, codes: [...named].reverse() }).codesUsed).toEqual(best.codesUsed)
        const lines = whole.items.map((item) => ({
          id: item.id,
          role: item.role,
          amount: item.price * item.quantity,
        }))
        const usable = named.filter((each) => codeApplies(each, lines, whole.asOf))
        // brute force: price each legal set on its own, by leaving only it in the order and making it stand alone
        for (const set of legalCodeSets(usable)) {
          const { remaining } = applyCodes(set, lines)
          const items = remaining.reduce((sum, amount) => sum + amount, 0)
          const shipping = items >= 15_000 ? 0 : 999
          expect(best.payNow.amount).toBeLessThanOrEqual(
            items + shipping + Math.round((items + shipping) * 0.13 + 1e-9),
          )
        }
      }),
      { numRuns: 80 },
    )
  })
})

describe('faultProbability', () => {
  test('grows with wear, never past 0.95', () => {
    expect(faultProbability('supply', 'used')).toBe(0.09)
    expect(faultProbability('supply', 'new')).toBeCloseTo(0.018, 12)
    expect(
      faultProbability('supply', 'damaged', {
        used: { supply: 0.5 } as never,
        byCondition: { damaged: 6 } as never,
        bySign: {} as never,
        recovered: {} as never,
        mostLikely: 0.95,
      }),
    ).toBe(0.95)
    // 0.09 · 2.5 untested · 0.8 good standing · 1.3 age not told; a sign named twice counts once
    expect(
      faultProbability('supply', 'used', cadFaults(), ['untested', 'good-seller', 'untested'], 1.3),
    ).toBeCloseTo(0.234, 12)
    expect(
      faultProbability('cpu', 'used', cadFaults({ used: { cpu: 0.1 }, bySign: { worn: 3 } }), ['worn']),
    ).toBeCloseTo(0.3, 12)
  })
  test('signs are read with the words that show them', () => {
    expect(
      readSigns('Sold as is, no way to test it. 41 000 hours.').map(({ sign, quote }) => [sign, quote]),
    ).toEqual([
      ['untested', 'no way to test'],
      ['as-is', 'as is'],
      ['worn', '41 000 hours'],
    ])
    expect(readSigns('Memory test passed, still sealed box of screws').map(({ sign }) => sign)).toEqual([
      'stress-tested',
      'sealed',
    ])
  })
})
