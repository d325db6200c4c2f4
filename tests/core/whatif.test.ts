import type { Role } from '#core/parts/part'
import { takesPlaceOf } from '#core/whatif/takesPlaceOf'
import { describe, expect, test } from 'vitest'
import type { Receipt } from '#core/ledger/receipt'
import { receiptDifference } from '#core/whatif/difference'
import { taken, takenOut } from '#core/whatif/proposed'
import type { Way } from '#core/supply/ways/way'

/** A receipt of lines with what is paid now; null: not known. */
function receiptOf(lines: Readonly<Record<string, number | null>>): Receipt {
  const toBuy = Object.entries(lines).map(([id, amount]) => ({
    id,
    payNow: amount,
    afterRebates: amount,
    expected: amount,
  }))
  const isKnown = toBuy.every(({ payNow }) => payNow !== null)
  const total = isKnown ? toBuy.reduce((sum, { payNow }) => sum + payNow!, 0) : null
  return {
    groups: { paid: [], toBuy, owned: [], toComeBack: [] },
    totals: { payNow: total, afterRebates: total, expected: total },
  } as unknown as Receipt
}

describe('the difference of two receipts', () => {
  test('of known ones: of the totals', () => {
    expect(receiptDifference(receiptOf({ card: 9000 }), receiptOf({ other: 6100 })).payNow).toBe(-2900)
  })
  test('a line not known before and after cancels', () => {
    const [before, after] = [receiptOf({ card: 9000, drive: null }), receiptOf({ other: 6100, drive: null })]
    expect(receiptDifference(before, after)).toEqual({ payNow: -2900, afterRebates: -2900, expected: -2900 })
  })
  test('one that is not known on one side alone makes it not known', () => {
    expect(receiptDifference(receiptOf({ card: 9000 }), receiptOf({ card: 9000, drive: null })).payNow).toBe(
      null,
    )
  })
})

describe('what a proposal is made of', () => {
  const line = (parts: string[], more = {}) => ({
    id: 'line',
    parts: parts.map((id) => ({ id })),
    leftOut: [],
    item: null,
    ...more,
  })
  test('a part leaves with its choice where it is that alone, else it stays out of it', () => {
    expect(takenOut([line(['cpu'])], 'cpu')).toEqual([{ kind: 'remove', choice: 'line' }])
    expect(takenOut([line(['cpu', 'board'])], 'cpu')).toEqual([
      { kind: 'leave-out', line: 'line', part: 'cpu' },
    ])
    expect(takenOut([line(['tower'], { item: { role: 'donor' } })], 'tower')).toEqual([
      { kind: 'leave-out', line: 'line', part: 'tower' },
    ])
  })
  test('what a donor brings, or is left out already, is no choice', () => {
    expect(takenOut([line(['tower'])], 'cpu')).toEqual([])
    expect(takenOut([line(['cpu', 'board'], { leftOut: ['cpu'] })], 'cpu')).toEqual([])
  })

  const way = {
    part: { id: 'card' },
    kind: 'hunt',
    mark: 'patient',
    payNow: 9000,
    leadId: null,
    itemId: null,
  }
  test('a hunt goes with its price; at another mark than the builder’s, that price is its limit', () => {
    const hunt = way as unknown as Way
    expect(taken(hunt, '', 'patient')).toMatchObject({ hunt: { part: 'card', condition: 'used' } })
    expect(taken(hunt, '', 'patient')).not.toHaveProperty('hunt.limit')
    expect(taken(hunt, '', 'typical')).toMatchObject({ hunt: { limit: 9000 } })
  })
  test('a lead is taken as that lead, new as new', () => {
    expect(taken({ ...way, leadId: 'ad' } as unknown as Way, '')).toMatchObject({ lead: 'ad' })
    const shop = { ...way, kind: 'shop', mark: null } as unknown as Way
    expect(taken(shop, '')).toMatchObject({ hunt: { condition: 'new' } })
  })
})

test('P7: what leaves for a card is what is chosen in its role and not mine yet; memory adds', () => {
  const chosen = (id: string, roles: readonly Role[], more: object = {}) => ({
    id,
    roles,
    item: null,
    scope: 'core' as const,
    ...more,
  })
  const list = [
    chosen('hunt', ['graphics']),
    chosen('lot', ['cpu', 'graphics']),
    chosen('mine', ['graphics'], { item: {} }),
    chosen('spare', ['graphics'], { scope: 'test' as const }),
    chosen('kit', ['memory']),
  ]
  const leaves = (roles: readonly Role[], scope?: 'core' | 'test') =>
    takesPlaceOf(list, roles, scope).map(({ id }) => id)
  expect([leaves(['graphics']), leaves(['memory']), leaves(['graphics'], 'test')]).toEqual([
    ['hunt', 'lot'],
    [],
    [],
  ])
})
