import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { account, type AccountItem } from '#core/ledger/account'
import { accountOf, type History, type HistoryEvent, type HistoryThing } from '#core/ledger/history'
import { itemCosts, rebateShares } from '#core/ledger/itemCosts'
import { assertFound, assertItemCan } from '#core/ledger/itemLife'

const thing = (id: string, change: Partial<HistoryThing> = {}): HistoryThing => ({
  id,
  plan: 'keep',
  worth: 100,
  fault: 0,
  worthToday: 0,
  ...change,
})
const history = (change: Partial<History>): History => ({
  currency: 'CAD',
  budget: 0,
  budgetScope: 'everything',
  paid: [],
  costs: [],
  toPay: [],
  rebates: [],
  events: [],
  ...change,
})
const paid = (
  id: string,
  amount: number,
  things = [thing(`${id}-thing`)],
  scope: 'core' | 'test' = 'core',
) => ({
  id,
  scope,
  amount,
  things,
})
/** The figures as plain amounts. */
function figures(change: Partial<History>) {
  const { items, hours, ...money } = accountOf(history(change))
  return {
    ...Object.fromEntries(Object.entries(money).map(([name, value]) => [name, value?.amount ?? null])),
    hours,
    items: items.map(({ id, cost, remaining, place, state }) => [
      id,
      cost.amount,
      remaining.amount,
      place,
      state,
    ]),
  } as Record<keyof typeof money, number | null> & { hours: number; items: unknown[][] }
}

describe('the account of a build, against figures worked out by hand', () => {
  test('a machine paid 419.00 in six hours and sold for 455.00 makes 36.00; nothing of it is valued after the sale', () => {
    const all = [paid('a', 300_00, [thing('cpu', { worthToday: 280_00 })]), paid('b', 119_00)]
    const arrived: HistoryEvent[] = [
      { kind: 'arrived', thing: 'cpu', state: 'works' },
      { kind: 'arrived', thing: 'b-thing', state: 'works' },
    ]
    expect(figures({ paid: all, events: arrived })).toMatchObject({
      worthToday: 280_00,
      profit: 280_00 - 419_00,
    })
    const after = figures({
      paid: all,
      toPay: [{ id: 'spare', scope: 'core', payNow: 9_00, fault: 1_00, worthToday: null }],
      rebates: [{ line: 'spare', amount: 5_00, chance: 0.5, state: 'open' }],
      events: [...arrived, { kind: 'sold-machine', price: 470_00, fee: 10_00, postage: 5_00, hours: 6 }],
    })
    expect(after).toMatchObject({
      cashOut: 419_00,
      cashIn: 0,
      sale: 455_00,
      toPay: 0,
      toComeBack: 0,
      cost: 419_00,
      worthToday: 0,
      profit: 36_00,
      hours: 6,
    })
    expect(after.items[0]).toEqual(['cpu', 300_00, 300_00, 'gone', 'works'])
  })

  test('a CPU at 45.00 arrives dead and is refunded 0.00: 394.00 spent of 420.00, 45.00 lost', () => {
    const change = { budget: 420_00, paid: [paid('cpu', 45_00), paid('rest', 349_00)] }
    const dead: HistoryEvent = { kind: 'arrived', thing: 'cpu-thing', state: 'dead' }
    expect(figures({ ...change, events: [dead] })).toMatchObject({ lost: 45_00, left: 26_00 })
    const back = { kind: 'sent-back', thing: 'cpu-thing', expected: 45_00 } as const
    expect(figures({ ...change, events: [dead, back] })).toMatchObject({ toComeBack: 45_00, left: 26_00 })
    const refunded = { kind: 'refunded', thing: 'cpu-thing', amount: 0, gone: true } as const
    expect(figures({ ...change, events: [dead, back, refunded] })).toMatchObject({
      cashOut: 394_00,
      payNow: 394_00,
      toComeBack: 0,
      left: 26_00,
      lost: 45_00,
      cost: 394_00,
    })
  })

  test('an old CPU sold for 40.00 less 4.80: left rises by 35.20, pay now stays', () => {
    const change = { budget: 100_00, paid: [paid('old', 30_00)] }
    const here: HistoryEvent = { kind: 'arrived', thing: 'old-thing', state: 'works' }
    const before = figures({ ...change, events: [here] })
    const after = figures({
      ...change,
      events: [here, { kind: 'sold', thing: 'old-thing', price: 40_00, fee: 4_00, postage: 80 }],
    })
    expect(after.left! - before.left!).toBe(35_20)
    expect(after.payNow).toBe(before.payNow)
    expect(after).toMatchObject({ cashIn: 35_20, cost: -5_20, lost: 0 })
  })

  test('a part handed on takes its remaining cost along; the cash stays with the build that paid', () => {
    const after = figures({
      paid: [paid('a', 80_00)],
      events: [
        { kind: 'arrived', thing: 'a-thing', state: 'works' },
        { kind: 'refunded', thing: 'a-thing', amount: 10_00, gone: false },
        { kind: 'handed-on', thing: 'a-thing' },
      ],
    })
    expect(after).toMatchObject({
      cashOut: 80_00,
      cashIn: 10_00,
      cost: 0,
      payNow: 80_00,
      worthToday: 0,
      lost: 0,
    })
    expect(after.items).toEqual([['a-thing', 80_00, 70_00, 'gone', 'works']])
  })

  test('rebates: weighed by their chance while open, off the cost once paid, void once what they are on goes back', () => {
    const line = paid('card', 150_00, [thing('card'), thing('cable', { plan: 'resell' })])
    const rebate = { line: 'card', amount: 20_00, chance: 0.85, state: 'open' } as const
    expect(figures({ paid: [line], rebates: [rebate] })).toMatchObject({
      toComeBack: 20_00,
      afterRebates: 130_00,
      expected: 133_00,
    })
    const arrived: HistoryEvent = { kind: 'arrived', thing: 'card', state: 'works' }
    expect(
      figures({
        paid: [line],
        rebates: [rebate],
        events: [arrived, { kind: 'sent-back', thing: 'card', expected: 70_00 }],
      }),
    ).toMatchObject({ toComeBack: 70_00, expected: 80_00 })
    const got = figures({ paid: [line], rebates: [{ ...rebate, state: 'paid' }] })
    expect(got).toMatchObject({ cashIn: 20_00, toComeBack: 0, cost: 130_00 })
    expect(got.items.map((each) => each.slice(1, 3))).toEqual([
      [75_00, 65_00],
      [75_00, 65_00],
    ])
  })

  test('the budget covers a scope: what is only for testing stays outside a budget for the machine', () => {
    const change = {
      budget: 200_00,
      paid: [paid('a', 100_00), paid('tool', 30_00, [thing('tool')], 'test' as const)],
      costs: [{ kind: 'travel' as const, scope: 'core' as const, amount: 5_00 }],
      toPay: [{ id: 'b', scope: 'ready' as const, payNow: 20_00, fault: 2_00, worthToday: 12_00 }],
    }
    expect(figures({ ...change, budgetScope: 'core' }).left).toBe(95_00)
    expect(figures({ ...change, budgetScope: 'ready' }).left).toBe(75_00)
    expect(figures(change)).toMatchObject({
      left: 45_00,
      payNow: 155_00,
      expected: 157_00,
      worthToday: 12_00,
    })
  })

  test('what is not known stays not known: worth and profit, and nothing else', () => {
    const unknown = figures({ paid: [paid('a', 50_00, [thing('a', { worthToday: null })])] })
    expect(unknown).toMatchObject({ worthToday: null, profit: null, expected: 50_00 })
    const dead = figures({
      paid: [paid('a', 50_00, [thing('a', { worthToday: null })])],
      events: [{ kind: 'arrived', thing: 'a', state: 'dead' }],
    })
    expect(dead).toMatchObject({ worthToday: 0, profit: -50_00 })
  })

  test.each([
    [
      'arrive twice',
      [
        { kind: 'arrived', thing: 'x', state: 'works' },
        { kind: 'arrived', thing: 'x', state: 'works' },
      ],
      'events[1]',
    ],
    ['sold before it came', [{ kind: 'sold', thing: 'x', price: 1, fee: 0, postage: 0 }], 'events[0]'],
    [
      'a machine sold with a part on its way',
      [{ kind: 'sold-machine', price: 1, fee: 0, postage: 0, hours: 0 }],
      'events[0]',
    ],
    [
      'written off twice',
      [
        { kind: 'arrived', thing: 'x', state: 'dead' },
        { kind: 'written-off', thing: 'x' },
        { kind: 'written-off', thing: 'x' },
      ],
      'events[2]',
    ],
    ['never bought', [{ kind: 'arrived', thing: 'y', state: 'works' }], 'events[0].thing'],
  ] as [string, HistoryEvent[], string][])('refused with the path of the event: %s', (_, events, path) => {
    expect(() => accountOf(history({ paid: [paid('l', 100, [thing('x')])], events }))).toThrow(
      expect.objectContaining({ path }),
    )
  })
})

describe('worth today of the machine as a whole', () => {
  const item = (id: string, worthToday: number | null, change: Partial<AccountItem> = {}): AccountItem => ({
    id,
    lineId: null,
    scope: 'core',
    plan: 'keep',
    place: 'build',
    state: 'works',
    goneBecause: null,
    remaining: 50_00,
    soldFor: 0,
    fault: 0,
    worthToday,
    expectedBack: 0,
    isOfMachine: true,
    ...change,
  })
  const worth = (machineWorth: number | null | undefined, items: readonly AccountItem[]) =>
    account({
      currency: 'CAD',
      budget: 0,
      budgetScope: 'everything',
      state: 'standing',
      entries: [],
      items,
      planned: [],
      rebates: [],
      takenOver: 0,
      handedOn: 0,
      hours: 0,
      ...(machineWorth === undefined ? {} : { machineWorth }),
    }).worthToday?.amount ?? null
  const all = [item('cpu', 80_00), item('card', 120_00), item('spare', 15_00, { isOfMachine: false })]

  test.each<[string, number | null | undefined, readonly AccountItem[], number | null]>([
    ['its parts, one by one', undefined, all, 215_00],
    ['the machine whole, and the spare by itself', 300_00, all, 315_00],
    ['no such machine was sold: not known', null, all, null],
    ['a part without a price does not matter to a machine valued whole', 300_00, [item('cpu', null)], 300_00],
    ['by its parts it does', undefined, [item('cpu', null), item('card', 120_00)], null],
    ['nothing of a machine is there: its figure counts nothing', 300_00, [all[2]!], 15_00],
    ['what is dead or on its way back is no part of it', 300_00, [item('cpu', 80_00, { state: 'dead' })], 0],
    ['what is for testing is worth nothing', 300_00, [item('cpu', 80_00, { scope: 'test' })], 0],
  ])('%s', (_, machineWorth, items, wanted) => expect(worth(machineWorth, items)).toBe(wanted))
})

describe('what a thing costs and what may happen to it', () => {
  test('by worth, by largest remainder; nothing for what is thrown away; all worthless: equally', () => {
    expect(
      itemCosts(130_00, [
        { plan: 'keep', worth: 80_00 },
        { plan: 'resell', worth: 120_00 },
      ]),
    ).toEqual([52_00, 78_00])
    expect(
      itemCosts(10_00, [
        { plan: 'keep', worth: 50 },
        { plan: 'discard', worth: 50 },
      ]),
    ).toEqual([10_00, 0])
    const pack = itemCosts(
      10_00,
      Array.from({ length: 9 }, () => ({ plan: 'keep' as const, worth: 0 })),
    )
    expect(pack).toEqual([112, 111, 111, 111, 111, 111, 111, 111, 111])
    expect(rebateShares(20_00, [52_00, 78_00])).toEqual([8_00, 12_00])
  })

  test('dead only comes to life by a repair; unseen never comes back; a buyer returns only what was sold', () => {
    expect(() => assertFound('dead', 'works')).toThrow(/only work again after a repair/)
    expect(() => assertFound('dead', 'works', { repaired: true })).not.toThrow()
    expect(() => assertFound('works', 'unseen')).toThrow(/cannot go back to not inspected/)
    const gone = (goneBecause: 'sold' | 'written-off') =>
      ({ place: 'gone', state: 'works', goneBecause }) as const
    expect(() => assertItemCan('takeBack', gone('sold'), 'the card')).not.toThrow()
    expect(() => assertItemCan('takeBack', gone('written-off'), 'the card')).toThrow(
      'the card is gone and cannot come back from the buyer',
    )
  })
})

/** Histories made of steps that the table allows, whatever their order. */
const histories = fc
  .record({
    lines: fc.array(
      fc.record({
        amount: fc.integer({ min: 0, max: 50_000 }),
        worths: fc.array(fc.integer({ min: 0, max: 9_000 }), { minLength: 1, maxLength: 3 }),
        rebate: fc.option(fc.record({ amount: fc.integer({ min: 0, max: 3_000 }), isPaid: fc.boolean() })),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    steps: fc.array(fc.record({ at: fc.nat(), what: fc.nat(), amount: fc.integer({ min: 0, max: 9_000 }) }), {
      maxLength: 30,
    }),
  })
  .map(({ lines, steps }): History => {
    const told = history({
      budget: 100_000,
      paid: lines.map(({ amount, worths }, line) =>
        paid(
          `l${line}`,
          amount,
          worths.map((worth, at) => thing(`l${line}-${at}`, { worth, worthToday: worth })),
        ),
      ),
      rebates: lines.flatMap(({ rebate }, line) =>
        rebate
          ? [
              {
                line: `l${line}`,
                amount: rebate.amount,
                chance: 0.5,
                state: rebate.isPaid ? ('paid' as const) : ('open' as const),
              },
            ]
          : [],
      ),
    })
    const ids = told.paid.flatMap((line) => line.things.map(({ id }) => id))
    return { ...told, events: eventsOf(ids, steps) }
  })

function eventsOf(ids: string[], steps: { at: number; what: number; amount: number }[]): HistoryEvent[] {
  const place = new Map(ids.map((id) => [id, 'ordered']))
  return steps.flatMap(({ at, what, amount }): HistoryEvent[] => {
    const id = ids[at % ids.length]!
    const make: Record<string, readonly (readonly [string, HistoryEvent])[]> = {
      ordered: [['here', { kind: 'arrived', thing: id, state: what % 2 ? 'dead' : 'works' }]],
      here: [
        ['returning', { kind: 'sent-back', thing: id, expected: amount }],
        ['gone', { kind: 'sold', thing: id, price: amount, fee: 7, postage: 5 }],
        ['gone', { kind: 'written-off', thing: id }],
        ['gone', { kind: 'handed-on', thing: id }],
        ['here', { kind: 'refunded', thing: id, amount, gone: false }],
      ],
      returning: [['gone', { kind: 'refunded', thing: id, amount, gone: true }]],
      gone: [],
    }
    const possible = make[place.get(id)!]!
    if (possible.length === 0) return []
    const [next, event] = possible[what % possible.length]!
    place.set(id, next)
    return [event]
  })
}

test('whatever happened: the cost is the fees and what remains of all things less what some were sold for', () => {
  fc.assert(
    fc.property(histories, (told) => {
      const { cashOut, cashIn, cost, payNow, toPay, items, left } = figures(told)
      const handedOn = new Set(told.events.flatMap((each) => (each.kind === 'handed-on' ? [each.thing] : [])))
      const soldFor = told.events.reduce((sum, each) => sum + (each.kind === 'sold' ? each.price - 12 : 0), 0)
      const remaining = items.reduce(
        (sum, [id, , rest]) => sum + (handedOn.has(id as string) ? 0 : (rest as number)),
        0,
      )
      expect(cost).toBe(remaining - soldFor)
      expect(payNow).toBe(cashOut! + toPay!)
      expect(left).toBe(told.budget - payNow! + cashIn!)
      for (const line of told.paid)
        expect(
          items
            .filter(([id]) => line.things.some((each) => each.id === id))
            .reduce((sum, [, share]) => sum + (share as number), 0),
        ).toBe(line.amount)
    }),
    { numRuns: 300 },
  )
})
