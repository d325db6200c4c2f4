import { describe, expect, test } from 'vitest'
import type { Condition } from '#core/reading/sales/soldRecord'
import type { Protection } from '#core/supply/risk/faultRisk'
import { recoveredShare } from '#core/supply/risk/recoveredShare'
import { huntFaultLoss } from '#core/supply/risk/huntFaultLoss'
import { cheapestWays, isTakeable, priceByWay, type Way } from '#core/supply/ways/way'
import { cadFaults } from './faults'

const way = (id: string, change: Partial<Way> = {}): Way => ({
  id,
  kind: 'lead',
  part: { id: 'card', role: 'graphics', make: '', name: 'card', facts: {} },
  others: [],
  condition: 'used',
  payNow: 90_00,
  afterRebates: 90_00,
  expected: 98_00,
  anyoneCanPay: null,
  breaks: [],
  doubt: '',
  from: '',
  url: '',
  grade: 'ask',
  mark: null,
  leadId: null,
  itemId: null,
  ...change,
})
const best = (...ways: readonly Way[]) => cheapestWays(ways).get('card')?.id ?? null

describe('the cheapest way to get a part', () => {
  test('by what is expected, then by what is paid now, then by name; the order of the list does not matter', () => {
    const hunt = way('hunt', { payNow: 95_00, expected: 97_00 })
    expect([best(way('lead'), hunt), best(hunt, way('lead'))]).toEqual(['hunt', 'hunt'])
    const dear = way('dear', { payNow: 99_00 })
    expect([best(dear, way('lead')), best(way('b'), way('a'))]).toEqual(['lead', 'a'])
  })

  test.each<[string, Partial<Way>]>([
    ['a rule of the house', { breaks: ['never used'] }],
    ['a doubt', { doubt: 'damaged' }],
    ['something else that would be kept along', { others: [way('x').part] }],
  ])('%s stands in its way', (_, change) => {
    expect(isTakeable(way('w', change))).toBe(false)
    expect(best(way('w', { ...change, expected: 1_00 }), way('dear'))).toBe('dear')
    expect(best(way('w', change))).toBeNull()
  })

  test('of a lot it takes what the rest does not bring back; of anything else what is paid', () => {
    expect(priceByWay(way('lead'))).toBe(90_00)
    expect(priceByWay(way('lot', { kind: 'lot', payNow: 120_00, expected: 45_00 }))).toBe(45_00)
  })
})

test('a hunt loses by a fault what the way it stands for would lose', () => {
  const loss = (protection: 'none' | 'returns', condition: 'used' | 'new') =>
    huntFaultLoss({ role: 'graphics', condition, itemWithTax: 100_00, protection, assumptions: cadFaults() })
  const { used, hassle, recovered } = cadFaults()
  expect(loss('none', 'used')).toBe(Math.round(used.graphics * ((1 - recovered.none) * 100_00 + hassle)))
  expect(loss('returns', 'used')).toBeLessThan(loss('none', 'used'))
  expect(loss('none', 'new')).toBeLessThan(loss('none', 'used'))
  // P12: what is new comes back by its warranty, wherever it is bought; what is used only by its seller
  const { warranty, none, returns } = recovered
  const share = (...[condition, protection]: [Condition, Protection]) =>
    recoveredShare(condition, protection, cadFaults())
  expect([share('new', 'none'), share('used', 'none'), share('used', 'returns')]).toEqual([
    warranty,
    none,
    returns,
  ])
})
