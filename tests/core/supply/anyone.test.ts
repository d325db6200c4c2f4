import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { rateTable } from '#core/money/rates'
import type { Code } from '#core/supply/landed/codes'
import { anyoneCanPay, type ShopBundle, type ThingToGet } from '#core/supply/anyone/anyoneCanPay'

const shop = (codes: readonly Code[] = [], shipping = 0) => ({
  currency: 'CAD',
  source: {
    taxPercent: 0,
    taxOnShipping: false,
    shipping: { kind: 'per-order' as const, amount: shipping },
  },
  codes,
})
const thing = (id: string, price: number | null, used: number | null = null): ThingToGet => ({
  id,
  partId: id,
  role: id,
  used,
  asks: price === null ? [] : [{ shopId: 'pantry', price }],
})
const pay = (
  things: readonly ThingToGet[],
  some: {
    readonly codes?: readonly Code[]
    readonly shipping?: number
    readonly bundles?: readonly ShopBundle[]
  } = {},
) =>
  Object.fromEntries(
    anyoneCanPay(things, {
      currency: 'CAD',
      today: '2026-10-31',
      rates: rateTable([]),
      shops: new Map([['pantry', shop(some.codes, some.shipping)]]),
      bundles: some.bundles ?? [],
    }),
  )
const bundle = (id: string, price: number, ...partIds: string[]): ShopBundle => ({
  id,
  shopId: 'pantry',
  price,
  partIds,
})

describe('P10: what anyone can pay', () => {
  const cpu = thing('cpu', 120_00)
  const board = thing('motherboard', 80_00)
  test('a code for the board alone lowers the board alone', () => {
    const code: Code = {
      id: 'LESS',
      kind: 'percent',
      value: 10,
      scope: { role: 'motherboard' },
      stackable: false,
    }
    expect(pay([cpu, board], { codes: [code] })).toEqual({ cpu: 120_00, motherboard: 72_00 })
    // 9.00 of shipping by what is left of each: 5.625 and 3.375
    expect(pay([cpu, board], { codes: [code], shipping: 9_00 })).toEqual({ cpu: 125_63, motherboard: 75_37 })
  })
  test('a bundle of what is wanted is the price, shared by what each takes apart', () => {
    const set = bundle('set', 170_00, 'cpu', 'motherboard')
    expect(pay([cpu, board], { bundles: [set] })).toEqual({ cpu: 102_00, motherboard: 68_00 })
    // of which one part is not wanted it is none, and dearer ones are not taken
    expect(pay([cpu], { bundles: [set] })).toEqual({ cpu: 120_00 })
    expect(pay([cpu, board], { bundles: [bundle('set', 201_00, 'cpu', 'motherboard')] })).toEqual({
      cpu: 120_00,
      motherboard: 80_00,
    })
  })
  test('of two bundles that want the same thing the one that saves more; one that knows a price first', () => {
    const memory = thing('memory', null)
    const bundles = [bundle('a', 190_00, 'cpu', 'motherboard'), bundle('b', 140_00, 'cpu', 'memory')]
    const found = pay([cpu, board, memory], { bundles })
    expect(found.cpu! + found.memory!).toBe(140_00)
    expect(found.motherboard).toBe(80_00)
    expect(pay([thing('cpu', null)])).toEqual({ cpu: null })
  })
  test('no bundle ever makes it dearer, and the shares add up to what is paid', () => {
    const price = fc.integer({ min: 1, max: 300 })
    const sum = (found: object) => Object.values(found as Record<string, number>).reduce((a, b) => a + b, 0)
    fc.assert(
      fc.property(fc.array(price, { minLength: 2, maxLength: 5 }), price, price, (prices, one, two) => {
        const things = prices.map((each, at) => thing(`p${at}`, each))
        const bundles = [bundle('one', one, 'p0', 'p1'), bundle('two', two, 'p1', 'p2')]
        expect(sum(pay(things, { bundles }))).toBeLessThanOrEqual(sum(pay(things)))
      }),
    )
  })
})
