import { describe, expect, test } from 'vitest'
import { ValidationError } from 'yup'
import { calcAccount } from '#server/calc/accountCalc'
import { calcLandedCost } from '#server/calc/landedCostCalc'
import { calcLot } from '#server/calc/lotCalc'
import { calcStreetPrice } from '#server/calc/streetPriceCalc'
import { errorAnswer } from '#server/http/errors'
import { NotFoundError } from '#server/errors/notFoundError'
import { CoreError } from '#core/errors/coreError'
import {
  accountRequest,
  landedCostRequest,
  lotRequest,
  streetPriceRequest,
  type StreetPriceRequest,
} from '#shared/calc/schemas'

const sale = {
  id: 'a',
  source: 's',
  title: 'Tarn 640',
  price: '100.00',
  shipping: '9.50',
  currency: 'CAD',
  soldOn: '2026-10-31',
  manner: 'auction',
  condition: 'used',
}
const query = {
  must: ['Tarn', '640'],
  mustNot: [],
  conditions: ['used'],
  manners: ['auction', 'fixed', 'local'],
  windowDays: 90,
  halfLifeDays: 30,
  asOf: '2026-10-31',
  currency: 'CAD',
}
const street = (change: object = {}, list: object[] = [sale]) =>
  calcStreetPrice(
    streetPriceRequest.validateSync({
      query: { ...query, ...change },
      records: list,
      rates: [],
    }) as StreetPriceRequest,
  )
const landed = (change: object = {}) =>
  calcLandedCost(
    landedCostRequest.validateSync({
      currency: 'CAD',
      asOf: '2026-10-31',
      source: {
        taxPercent: 13,
        taxOnShipping: true,
        shipping: { kind: 'per-order', amount: '9.99', freeFrom: '150.00' },
      },
      items: [{ id: 'cpu', role: 'cpu', price: '100.00', quantity: 1 }],
      codes: [],
      rebates: [],
      extras: [],
      ...change,
    }),
  )

describe('the calculation requests', () => {
  test('street price: strings in, minor units out, untested read as damaged', () => {
    expect(street()).toMatchObject({
      kept: [{ id: 'a', unitPrice: { amount: 10_950, currency: 'CAD' } }],
      marks: { typical: { amount: 10_950 } },
      grade: 'thin',
      perDay: 1 / 90,
      byManner: [],
    })
    expect(street({}, [{ ...sale, condition: 'untested' }]).dropped[0]).toMatchObject({ reason: 'condition' })
    expect(street({ conditions: ['untested'] }, [{ ...sale, condition: 'damaged' }]).kept).toHaveLength(1)
  })
  test('landed cost: a percent code is text too', () => {
    expect(
      landed({ codes: [{ id: 'T', kind: 'percent', value: '12.5', scope: {}, stackable: true }] }).payNow
        .amount,
    ).toBe(11_016) // (87.50 + 9.99) · 1.13 = 110.16
    expect(
      landed({ rebates: [{ id: 'r', amount: '10.00', claimBy: '2026-11-01', state: 'to claim' }] })
        .afterRebates.amount,
    ).toBe(11_429)
  })
  test('lot: nothing kept and everything kept', () => {
    const lot = calcLot(
      lotRequest.validateSync({
        currency: 'CAD',
        landed: '10.00',
        things: [
          { id: 'a', streetPrice: '5.00', plan: 'keep' },
          { id: 'b', streetPrice: '5.00', plan: 'keep' },
        ],
      }),
    )
    expect(lot.things.map((thing) => thing.effectiveCost!.amount)).toEqual([500, 500])
  })
  test.each([
    ['a price as a number', () => street({}, [{ ...sale, price: 100 }]), 'records[0].price'],
    ['a negative shipping', () => street({}, [{ ...sale, shipping: '-1.00' }]), 'records[0].shipping'],
    ['an unknown currency', () => street({}, [{ ...sale, currency: 'QQQ' }]), 'records[0].currency'],
    [
      'a date that does not exist',
      () => street({}, [{ ...sale, soldOn: '2026-02-30' }]),
      'records[0].soldOn',
    ],
    ['an unknown manner', () => street({}, [{ ...sale, manner: 'swap' }]), 'records[0].manner'],
    ['a window of nothing', () => street({ windowDays: 0 }), 'query.windowDays'],
    ['no items', () => landed({ items: [] }), 'items'],
    [
      'the same item twice',
      () =>
        landed({
          items: [
            { id: 'a', role: 'cpu', price: '1', quantity: 1 },
            { id: 'a', role: 'cpu', price: '1', quantity: 1 },
          ],
        }),
      'items[1].id',
    ],
    [
      'half a thing',
      () => landed({ items: [{ id: 'a', role: 'cpu', price: '1', quantity: 0.5 }] }),
      'items[0].quantity',
    ],
    [
      'more than all off',
      () => landed({ codes: [{ id: 'T', kind: 'percent', value: '101', scope: {}, stackable: true }] }),
      'codes[0].value',
    ],
    ['too many places', () => landed({ hassle: '1.005' }), 'hassle'],
  ])('%s is refused with its path', (_name, call, path) => {
    try {
      call()
      expect.unreachable()
    } catch (error) {
      const { status, body } = errorAnswer(error)
      expect([status, body.error.path]).toEqual([400, path])
      expect(body.error.message.length).toBeGreaterThan(5)
    }
  })
})

describe('errorAnswer', () => {
  test("a caller's mistake is 400, an absence 404, ours 500 without a trace", () => {
    expect(errorAnswer(new CoreError('future-date', { day: '2027-01-01' }, 'path'))).toEqual({
      status: 400,
      body: {
        error: {
          code: 'future-date',
          message: '2027-01-01 is in the future',
          path: 'path',
          params: { day: '2027-01-01' },
        },
      },
    })
    expect(errorAnswer(new ValidationError('wrong', 1, 'a.b')).body.error).toMatchObject({
      code: 'invalid',
      path: 'a.b',
    })
    expect(errorAnswer(new NotFoundError('lead', 'gone'))).toMatchObject({
      status: 404,
      body: { error: { message: 'there is no lead "gone"' } },
    })
    expect(JSON.stringify(errorAnswer(new Error('secret')))).not.toContain('secret')
  })
})

describe('account', () => {
  const thing = { id: 'cpu', plan: 'keep', worth: '80', fault: '2', worthToday: null }
  const request = {
    currency: 'JPY',
    budget: '1000',
    paid: [{ id: 'a', scope: 'core', amount: '450', things: [thing] }],
    costs: [],
    toPay: [{ id: 'b', scope: 'test', payNow: '100', fault: '0', worthToday: null }],
    rebates: [],
    events: [{ kind: 'arrived', thing: 'cpu', state: 'faulty' }],
  }
  const answer = (change: object = {}) => calcAccount(accountRequest.validateSync({ ...request, ...change }))

  test('decimal strings in, money out; the budget covers everything unless said', () => {
    expect(answer()).toMatchObject({
      payNow: { amount: 550, currency: 'JPY' },
      left: { amount: 450, currency: 'JPY' },
      worthToday: null,
      items: [{ id: 'cpu', cost: { amount: 450, currency: 'JPY' }, place: 'here', state: 'faulty' }],
    })
    expect(answer({ budgetScope: 'core' }).left).toEqual({ amount: 550, currency: 'JPY' })
  })

  test.each([
    [{ events: [{ kind: 'arrived', thing: 'cpu', state: 'unseen' }] }, 'events[0].state'],
    [{ events: [{ kind: 'melted', thing: 'cpu' }] }, 'events[0].kind'],
    [{ events: [{ kind: 'sent-back', thing: 'cpu' }] }, 'events[0].expected'],
    [{ events: [{ kind: 'sold', thing: 'cpu', price: '1', fee: '0', postage: '0' }] }, 'events[0]'],
    [{ budget: '10.50' }, 'budget'],
    [{ rebates: [{ line: 'z', amount: '1', chance: 0.5, state: 'open' }] }, 'rebates[0].line'],
    [{ paid: [{ id: 'a', scope: 'core', amount: '450', things: [thing, thing] }] }, 'paid[0].things[1].id'],
    [{ events: [null] }, 'events[0]'],
  ])('%j is refused at %s', (change, path) => {
    const attempt = () => answer(change)
    expect(attempt).toThrow()
    try {
      attempt()
    } catch (error) {
      expect(errorAnswer(error)).toMatchObject({ status: 400, body: { error: { path } } })
    }
  })
})
