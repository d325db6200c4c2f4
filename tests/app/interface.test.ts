import { describe, expect, test } from 'vitest'
import { agenda } from '~/places/builds/state/agenda'
import { leadAge } from '~/places/leads/state/leadList'
import { ruleScale } from '~/ui/charts/priceRule'
import { brushBetween, readBrush, writeBrush } from '~/places/prices/state/brush'
import {
  filterRecords,
  groupDecisions,
  nextDecision,
  reasonCounts,
  wordsToGatherBy,
} from '~/places/prices/state/triage'
import { searchIndex } from '~/shell/searchIndex'
import { dayNumber } from '#core/time/calendarDate'
import type { BuildStrip } from '#shared/builds/views'
import type { RecordView } from '#shared/prices/views'

const record = (id: number, change: Partial<RecordView> = {}): RecordView => ({
  id,
  title: `Tarn ${id}`,
  source: 's',
  soldOn: '2026-10-01',
  manner: 'fixed',
  condition: 'used',
  price: 1,
  shipping: 0,
  currency: 'CAD',
  quantity: null,
  unitPrice: 1,
  weight: 1,
  reason: null,
  detail: '',
  decision: null,
  ...change,
})
describe('triage', () => {
  const records = [
    record(1),
    record(2, { reason: 'lot' }),
    record(3, { reason: 'outside-window' }),
    record(4, { reason: 'builder', decision: 'drop' }),
  ]
  test('filters by state and by a word of the title', () => {
    expect(filterRecords(records, 'kept', '').map((each) => each.id)).toEqual([1])
    expect(filterRecords(records, 'left-out', '').map((each) => each.id)).toEqual([2, 4])
    expect(filterRecords(records, 'yours', '').map((each) => each.id)).toEqual([4])
    expect(filterRecords(records, 'all', 'TARN 2').map((each) => each.id)).toEqual([2])
  })
  test('the same key again takes the word back', () => {
    expect([
      nextDecision(records[0]!, 'drop'),
      nextDecision(records[3]!, 'drop'),
      nextDecision(records[3]!, 'keep'),
    ]).toEqual(['drop', null, 'keep'])
    expect(reasonCounts([...records, record(5, { reason: 'lot' })])[0]).toEqual({ reason: 'lot', count: 2 })
  })
})

describe('the inbox', () => {
  test('age and end in words', () => {
    expect([
      leadAge({ listedOn: '2026-10-20', endsOn: null }, '2026-10-31'),
      ...['2026-10-31', '2026-11-02', '2026-11-03'].map((day) =>
        leadAge({ listedOn: '2026-10-20', endsOn: '2026-11-02' }, day),
      ),
    ]).toEqual(['11 d', 'ends in 2 d', 'ends today', 'ended'])
  })
})

describe('the price rule', () => {
  test('everything known lies inside, in order; nothing known is no scale', () => {
    const scale = ruleScale(
      { marks: { patient: 100, typical: 120, hurried: 150 }, ask: 90, fresh: 220 },
      200,
      4,
    )!
    const places = [90, 100, 120, 150, 220].map((value) => scale.at(value))
    expect(places).toEqual([...places].sort((a, b) => a - b))
    expect(places[0]).toBeGreaterThan(0)
    expect(places.at(-1)).toBeLessThan(200)
    expect(ruleScale({ marks: null }, 200, 4)).toBeNull()
  })
})

describe('agenda and search', () => {
  test('what stops comes before what waits', () => {
    const strip = {
      id: 'b',
      name: 'B',
      wantedBy: '2026-11-21',
      findings: [{ severity: 'stops', what: 'socket' }],
      breaches: [],
      targets: [],
      emptyRoles: ['cpu'],
      hits: [],
      silent: [{ leadId: 'l', title: 'Tarn', days: 5 }],
      gone: [],
      receipt: { state: 'within', groups: { toComeBack: [] } },
    } as unknown as BuildStrip
    expect(agenda([strip], '2026-10-31').map((entry) => entry.when)).toEqual([
      'won’t work',
      'silent',
      '21 days',
    ])
    const hit = (leadId: string, cost: number, tooCheap = false) => ({
      lookoutId: 'l',
      leadId,
      cost,
      limit: 12_000,
      partName: 'Tarn',
      source: 'Barnstall',
      currency: 'CAD',
      manner: 'local',
      tooCheap,
    })
    const came = agenda(
      [
        {
          ...strip,
          hits: [hit('dear', 11_900), hit('odd', 2000, true), hit('cheap', 11_000)],
        } as unknown as BuildStrip,
      ],
      '2026-10-31',
    )
    expect(came.map((entry) => entry.when)).toEqual(['won’t work', 'under limit', 'silent', '21 days'])
    expect(came[1]).toMatchObject({
      text: 'B: 3 × Tarn at or below your 120.00, from 110.00 at Barnstall',
      to: '/b/b/leads?show=hits&lead=cheap',
    })
  })
  test('a slip of the pen still finds it', () => {
    const find = searchIndex([
      { id: '1', label: 'Kaldric Sallowfen 5400', kind: 'CPU', to: '/' },
      { id: '2', label: 'Murrowdun Tarn 640', kind: 'graphics card', to: '/' },
    ])
    expect(find('salowfen 5400').map((each) => each.id)).toEqual(['1'])
    expect(find('graph').map((each) => each.id)).toEqual(['2'])
  })
})

describe('the region of a picture', () => {
  const record = (id: number, soldOn: string, unitPrice: number | null, change: object = {}) =>
    ({
      id,
      title: `Tarn ${id}`,
      soldOn,
      unitPrice,
      price: 9000,
      shipping: 500,
      reason: null,
      decision: null,
      ...change,
    }) as unknown as RecordView
  const region = brushBetween(
    { day: dayNumber('2026-10-20') + 0.4, price: 9600.2 },
    { day: dayNumber('2026-10-10') - 0.3, price: 9400.9 },
  )
  test('takes corners in any order, and keeps whole days and minor units', () => {
    expect(region).toEqual({ from: '2026-10-10', to: '2026-10-20', low: 9401, high: 9600 })
    expect(readBrush(writeBrush(region))).toEqual(region)
    expect(readBrush('nonsense')).toBeNull()
  })
  test('holds a record by what it counts at, or by all that was paid where it does not count', () => {
    const records = [
      record(1, '2026-10-10', 9500),
      record(2, '2026-10-21', 9500),
      record(3, '2026-10-15', 12_000),
      record(4, '2026-10-15', null, { reason: 'lot' }),
    ]
    expect(filterRecords(records, 'all', '', region).map((each) => each.id)).toEqual([1, 4])
    expect(filterRecords(records, 'lot', '', region).map((each) => each.id)).toEqual([4])
  })
  test('words to gather by leave out figures and what the query asks for', () => {
    expect(wordsToGatherBy('Zuvo Tarn 640 8GB graphics card, zuvo', ['tarn', '640'])).toEqual([
      'zuvo',
      'graphics',
      'card',
    ])
  })
  test('taking back many decisions is one action for each kind', () => {
    expect(groupDecisions([1, 2, 3], [null, 'keep', null])).toEqual([
      { decision: null, records: [1, 3] },
      { decision: 'keep', records: [2] },
    ])
  })
})
