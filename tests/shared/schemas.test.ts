import type { AnyObjectSchema } from 'yup'
import { ValidationError } from 'yup'
import { describe, expect, test } from 'vitest'
import { editionSchema, variantSchema } from '#shared/builds/schemas'
import { agreeSchema, doorNoteSchema, leadPatchSchema, offerSchema, passSchema } from '#shared/leads/schemas'
import {
  driveSchema,
  entrySchema,
  itemSteps,
  machineSaleSchema,
  orderGroupSchema,
  orderPaymentSchema,
  paymentSchema,
  rebateStepSchema,
  returnedMachineSchema,
  tripSchema,
  upgradeSchema,
} from '#shared/ledger/schemas'
import { partsAlone, sellingSchema, worthBases } from '#shared/ledger/selling'
import {
  adviceSchema,
  adviceStateSchema,
  assembledSchema,
  carryQuery,
  choicePatchSchema,
  choiceSchema,
  fixSchema,
  settledSchema,
  swapSchema,
} from '#shared/machine/schemas'
import { planSchema, takePlanSchema } from '#shared/plan/schemas'
import { lookoutSchema, ownFigureSchema, querySchema } from '#shared/prices/schemas'
import { rateKeySchema, rateSchema } from '#shared/settings/rates'

/** What routes and forms take: one schema for both. A refusal names the field and says what to do. */
const day = '2026-10-31'
const refusalOf = (schema: AnyObjectSchema, input: object): { path: string; message: string } | null => {
  try {
    schema.validateSync(input)
    return null
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const first = error.inner[0] ?? error
    return { path: first.path ?? '', message: first.message }
  }
}
type Refusals = readonly (readonly [what: string, schema: AnyObjectSchema, input: object, path: string])[]

describe('taken as they are, what is left out by its default', () => {
  const taken: readonly (readonly [string, AnyObjectSchema, object, object])[] = [
    ['a trip', tripSchema, { name: 'quay', km: 12 }, { fare: '0', hours: 0 }],
    ['a payment', paymentSchema, { day, amount: '12.50' }, { amount: '12.50' }],
    ['an order', orderPaymentSchema, { choiceIds: ['a'], day }, { total: null, amounts: [] }],
    ['a sale', machineSaleSchema, { day, price: '350' }, { fee: '0', postage: '0', hours: 0 }],
    ['an upgrade', upgradeSchema, { day, name: 'Faster', budget: '200' }, { name: 'Faster' }],
    [
      'a thing that arrives',
      itemSteps.arrive,
      { day, state: 'works' },
      { checks: [], facts: {}, returnBy: null },
    ],
    ['a thing sent back', itemSteps['send-back'], { day }, { expected: null }],
    ['a thing moved to the shelf', itemSteps.move, { day }, { buildId: null }],
    [
      'an entry',
      entrySchema,
      { day, kind: 'hours', text: 'cleaning', hours: 1.5 },
      { amount: '0', correctsId: null },
    ],
    ['a price agreed', agreeSchema, { day, amount: '110' }, { until: null }],
    ['a word of the seller', offerSchema, { by: 'seller', day }, { amount: null, note: '' }],
    [
      'a hunt',
      choiceSchema,
      { kind: 'hunt', partId: 'card' },
      { scope: 'core', limit: null, condition: null },
    ],
    ['a way in place of a part', swapSchema, { way: 'hunt:card' }, { out: null }],
    ['an edition', editionSchema, { name: 'For the café' }, { asOf: null }],
    [
      'what a worth is read from',
      sellingSchema,
      { basis: 'parts' },
      { own: null, must: null, mustNot: [], leftOut: [] },
    ],
    [
      'a rate',
      rateSchema,
      { date: day, from: 'SEK', to: 'CAD', rate: '0.13' },
      { bothWays: expect.any(Boolean) },
    ],
  ]
  test.each(taken)('%s', (_, schema, input, wanted) =>
    expect(schema.validateSync(input)).toMatchObject({ ...input, ...wanted }),
  )
  test('without a word of one’s own a machine is valued by its parts', () => {
    expect(worthBases).toContain(partsAlone.basis)
    expect(partsAlone).toMatchObject(sellingSchema.validateSync({ basis: 'parts' }))
  })
})

describe('refused, with the field in the refusal', () => {
  const refused: Refusals = [
    ['a trip without a way', tripSchema, { name: 'quay' }, 'km'],
    ['a trip round the world', tripSchema, { name: 'quay', km: 40_000 }, 'km'],
    ['a payment in words', paymentSchema, { day, amount: 'twelve' }, 'amount'],
    ['a payment with a comma', paymentSchema, { day, amount: '12,50' }, 'amount'],
    ['a payment below nothing', paymentSchema, { day, amount: '-1' }, 'amount'],
    ['a payment of no day', paymentSchema, { amount: '1' }, 'day'],
    ['a day that is none', paymentSchema, { day: '2026-02-30', amount: '1' }, 'day'],
    ['an order of nothing', orderPaymentSchema, { choiceIds: [], day }, 'choiceIds'],
    [
      'an order with an amount of nothing',
      orderPaymentSchema,
      { choiceIds: ['a'], day, amounts: [{ amount: '1' }] },
      'amounts[0].choiceId',
    ],
    ['a group of nobody', orderGroupSchema, { choiceIds: [] }, 'choiceIds'],
    ['a drive on no day', driveSchema, {}, 'day'],
    ['a sale for nothing said', machineSaleSchema, { day }, 'price'],
    ['a sale of years of work', machineSaleSchema, { day, price: '1', hours: 100_000 }, 'hours'],
    ['an upgrade without a name', upgradeSchema, { day, budget: '1' }, 'name'],
    ['an upgrade for nothing said', upgradeSchema, { day, name: 'Faster' }, 'budget'],
    ['a machine back for nothing said', returnedMachineSchema, { day }, 'amount'],
    ['a thing that arrives in no state', itemSteps.arrive, { day }, 'state'],
    ['a thing that arrives unseen', itemSteps.arrive, { day, state: 'unseen' }, 'state'],
    [
      'facts that are no yes or no',
      itemSteps.arrive,
      { day, state: 'works', facts: { shield: 'maybe' } },
      'facts',
    ],
    ['a refund of no amount', itemSteps.refund, { day }, 'amount'],
    ['a thing split into one', itemSteps.split, { day, parts: ['a'] }, 'parts'],
    ['a scope there is not', itemSteps.move, { day, scope: 'somewhere' }, 'scope'],
    ['a rebate in no state', rebateStepSchema, { day }, 'state'],
    ['an entry that says nothing', entrySchema, { day, kind: 'fee', text: ' ' }, 'text'],
    ['an entry of a kind of its own', entrySchema, { day, kind: 'gift', text: 'x' }, 'kind'],
    ['a price agreed on no amount', agreeSchema, { day }, 'amount'],
    ['a reason without end', passSchema, { day, reason: 'x'.repeat(500) }, 'reason'],
    ['an answer that is neither', leadPatchSchema, { answers: { works: 'perhaps' } }, 'answers'],
    ['a sign that is no sign', leadPatchSchema, { signs: { sealed: 'yes' } }, 'signs'],
    ['an empty note from the door', doorNoteSchema, { text: '   ' }, 'text'],
    ['a note like a book', doorNoteSchema, { text: 'x'.repeat(30_000) }, 'text'],
    ['a word of a stranger', offerSchema, { by: 'neighbour', day }, 'by'],
    ['a lead that is not named', choiceSchema, { kind: 'lead' }, 'leadId'],
    ['a hunt for nothing', choiceSchema, { kind: 'hunt' }, 'partId'],
    ['a thing of the shelf that is not named', choiceSchema, { kind: 'owned' }, 'shelfId'],
    ['a hunt for a refurbished one', choicePatchSchema, { condition: 'refurbished' }, 'condition'],
    ['a card carried for no months', carryQuery, { partId: 'a', cpuId: 'b', months: 0 }, 'months'],
    ['a fix without its way', fixSchema, { key: 'k' }, 'way'],
    ['a half way', fixSchema, { key: 'k', way: 0.5 }, 'way'],
    ['nothing settled', settledSchema, {}, 'key'],
    ['a tick of nothing', assembledSchema, { line: 'l' }, 'isDone'],
    ['a way without a name', swapSchema, {}, 'way'],
    ['advice of nothing', adviceSchema, {}, 'text'],
    ['advice in a state of its own', adviceStateSchema, { state: 'perhaps' }, 'state'],
    ['an edition without a name', editionSchema, { name: ' ' }, 'name'],
    ['an edition of a day that is none', editionSchema, { name: 'x', asOf: 'summer' }, 'asOf'],
    ['a variant without a name', variantSchema, {}, 'name'],
    ['a plan of no ways', planSchema, { ways: [] }, 'ways'],
    ['a plan into nowhere', takePlanSchema, { ways: ['a'], present: [], into: 'shelf' }, 'into'],
    ['a worth read from the stars', sellingSchema, { basis: 'stars' }, 'basis'],
    ['an own figure that is not said', sellingSchema, { basis: 'own' }, 'own'],
    ['an own figure in words', sellingSchema, { basis: 'own', own: 'much' }, 'own'],
    ['a record without a number', sellingSchema, { basis: 'parts', leftOut: ['a'] }, 'leftOut[0]'],
    [
      'a query for nothing',
      querySchema,
      { must: [], conditions: ['used'], manners: ['auction'], windowDays: 90, halfLifeDays: 30 },
      'must',
    ],
    [
      'a window of no days',
      querySchema,
      { must: ['a'], conditions: ['used'], manners: ['auction'], windowDays: 0, halfLifeDays: 30 },
      'windowDays',
    ],
    ['a lookout without a limit', lookoutSchema, { partId: 'card' }, 'limit'],
    ['a figure of one’s own that is none', ownFigureSchema, { amount: '' }, 'amount'],
    ['a rate of nothing', rateSchema, { date: day, from: 'SEK', to: 'CAD', rate: '0' }, 'rate'],
    ['a currency in small letters', rateSchema, { date: day, from: 'sek', to: 'CAD', rate: '1' }, 'from'],
    ['a rate of no day', rateKeySchema, { from: 'SEK', to: 'CAD' }, 'date'],
  ]
  test.each(refused)('%s', (_, schema, input, path) => {
    const refusal = refusalOf(schema, input)
    expect(refusal?.path).toBe(path)
    // in words, never a dump of what was sent
    expect(refusal!.message.length).toBeGreaterThan(5)
    expect(refusal!.message).not.toMatch(/undefined|\[object|NaN/)
  })
})
