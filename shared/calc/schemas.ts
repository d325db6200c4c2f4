import { array, lazy, mixed, object, string, type InferType } from 'yup'
import { conditions, manners, type Condition, type Manner } from '../../core/reading/sales/soldRecord'
import { needs, roles } from '../../core/parts/part'
import { budgetScopes } from '../../core/ledger/account'
import { scopes } from '../../core/ledger/scopes'
import { rebateStates } from '../../core/supply/landed/rebates'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  oneOf,
  percent,
  recordOf,
  share,
  text,
  texts,
  wholeFrom,
  yesOrNo,
} from '../fields'

/** Requests of the fixed calculation endpoints; see docs/api.md. */

const exchangeRate = object({
  date: calendarDate().required(),
  from: currencyCode().required(),
  to: currencyCode().required(),
  rate: finite().moreThan(0, '${path} must be more than 0').required(),
})

const recordConditions = [...conditions, 'untested'] as const

/** A sold record as a request states it. */
export interface SoldRecordInput {
  readonly id: string
  readonly source: string
  readonly title: string
  readonly price: string
  readonly shipping: string
  readonly currency: string
  readonly soldOn: string
  readonly manner: Manner
  readonly condition: Condition | 'untested'
  readonly quantity?: number | null
}

const recordFields = {
  id: text().required(),
  source: text().defined(),
  title: text().defined(),
  price: decimalText({ min: 'any' }).required(),
  shipping: decimalText().required(),
  currency: currencyCode().required(),
  soldOn: calendarDate().required(),
  manner: oneOf(manners).required(),
  condition: oneOf(recordConditions).required(),
  quantity: wholeFrom(1).nullable(),
} as const
const recordFieldNames = Object.keys(recordFields) as (keyof typeof recordFields)[]

/**
 * Walking thousands of records through an object schema takes half a second; most fields repeat, so each field's
 * schema is asked only once for each different value.
 */
function firstRecordProblem(records: readonly unknown[]): { path: string; message: string } | null {
  const fine = new Map(recordFieldNames.map((field) => [field, new Set<unknown>()]))
  for (const [index, record] of records.entries()) {
    if (typeof record !== 'object' || record === null)
      return { path: `records[${index}]`, message: `records[${index}] must be an object` }
    for (const field of recordFieldNames) {
      const value = (record as Record<string, unknown>)[field]
      if (
        (field === 'id' || field === 'title' || field === 'source') &&
        typeof value === 'string' &&
        value !== ''
      )
        continue
      if (fine.get(field)!.has(value)) continue
      try {
        recordFields[field].validateSync(value, { strict: true })
        fine.get(field)!.add(value)
      } catch (error) {
        const path = `records[${index}].${field}`
        return { path, message: (error as Error).message.replace(/^this/, path) }
      }
    }
  }
  return null
}

export const streetPriceRequest = object({
  query: object({
    must: texts().required(),
    mustNot: texts().required(),
    variant: object({
      capacityGb: finite().moreThan(0),
      kitCount: wholeFrom(1),
      memoryGeneration: text().max(20),
      module: oneOf(['desktop', 'laptop']),
      siblings: texts(),
    })
      .default(undefined)
      .optional(),
    conditions: array().of(oneOf(recordConditions).defined()).required(),
    manners: array().of(oneOf(manners).defined()).required(),
    windowDays: finite().moreThan(0, '${path} must be more than 0').max(36_500).required(),
    halfLifeDays: finite().moreThan(0, '${path} must be more than 0').max(36_500).required(),
    asOf: calendarDate().required(),
    currency: currencyCode().required(),
    makes: texts(),
    catchShare: share(),
    coveredDays: finite().moreThan(0, '${path} must be more than 0'),
    seed: wholeFrom(0).max(2_147_483_647),
  }).required(),
  records: array()
    .required()
    .max(2_000_000)
    .test('records', (records, context) => {
      const problem = firstRecordProblem(records)
      return problem === null || context.createError(problem)
    }),
  rates: array().of(exchangeRate.required()).default([]),
  overrides: recordOf(oneOf(['keep', 'drop']).required(), '"keep" or "drop" by record id'),
  limits: array().of(
    object({ price: decimalText().required(), days: finite().min(0).required() }).required(),
  ),
  wishes: array().of(
    object({ probability: share().required(), days: finite().min(0).required() }).required(),
  ),
}).required()
export type StreetPriceRequest = Omit<InferType<typeof streetPriceRequest>, 'records'> & {
  records: SoldRecordInput[]
}

export const landedCostRequest = object({
  currency: currencyCode().required(),
  asOf: calendarDate().required(),
  source: object({
    taxPercent: percent().required(),
    taxOnShipping: yesOrNo().required(),
    shipping: object({
      kind: oneOf(['none', 'per-item', 'per-order']).required(),
      amount: decimalText().when('kind', {
        is: 'none',
        then: (field) => field.optional(),
        otherwise: (field) => field.required(),
      }),
      freeFrom: decimalText(),
    }).required(),
    paymentFeePercent: percent(),
  }).required(),
  items: array()
    .of(
      object({
        id: text().required(),
        role: text().required(),
        price: decimalText().required(),
        quantity: wholeFrom(1).max(100_000).required(),
        faultProbability: share(),
        recoveredShare: share(),
      }).required(),
    )
    .required()
    .min(1, 'items must hold at least one item')
    .max(1000),
  codes: array()
    .of(
      object({
        id: text().required(),
        kind: oneOf(['percent', 'fixed']).required(),
        value: decimalText().required(),
        scope: object({ role: text(), itemId: text() }).default({}),
        minSpend: decimalText(),
        cap: decimalText(),
        stackable: yesOrNo().required(),
        validUntil: calendarDate(),
      }).required(),
    )
    .default([]),
  rebates: array()
    .of(
      object({
        id: text().required(),
        amount: decimalText().required(),
        claimBy: calendarDate().required(),
        state: oneOf([...rebateStates, 'to claim']).required(),
        chance: share(),
      }).required(),
    )
    .default([]),
  extras: array()
    .of(object({ label: text().required(), amount: decimalText({ min: 'any' }).required() }).required())
    .default([]),
  import: object({
    dutyPercent: finite().min(0).required(),
    taxPercent: finite().min(0).required(),
    freeUnder: decimalText().required(),
  })
    .default(undefined)
    .optional(),
  exchangeFeePercent: percent(),
  hassle: decimalText(),
  pickup: object({
    km: finite().min(0).required(),
    perKm: decimalText().required(),
    fare: decimalText().required(),
    hours: finite().min(0).required(),
    perHour: decimalText().required(),
  })
    .default(undefined)
    .optional(),
}).required()
export type LandedCostRequest = InferType<typeof landedCostRequest>

export const lotRequest = object({
  currency: currencyCode().required(),
  landed: decimalText({ min: 'any' }).required(),
  things: array()
    .of(
      object({
        id: text().required(),
        streetPrice: decimalText().required(),
        plan: oneOf(['keep', 'resell', 'discard']).required(),
        sellsProbability: share(),
        feePercent: percent(),
        shipping: decimalText(),
        fixedFee: decimalText(),
      }).required(),
    )
    .required()
    .max(1000),
}).required()
export type LotRequest = InferType<typeof lotRequest>

/** Longest text that an endpoint reads, in characters. */
const mostText = 2_000_000

export const readSalesRequest = object({
  text: string().defined('${path}: enter a value').strict().max(mostText),
  today: calendarDate().required(),
  currency: currencyCode().required(),
  source: text(),
  dayFirst: yesOrNo().optional(),
  decimalMark: oneOf(['.', ',']).optional(),
  /** Of a table: field to header or to number of the column from 0. */
  columns: recordOf(
    mixed<string | number>(
      (value): value is string | number =>
        typeof value === 'string' || (typeof value === 'number' && Number.isInteger(value)),
    ),
    'headers or numbers of columns',
  ).optional(),
  /** Of a table: what a word of a column means, by field. */
  values: recordOf(recordOf(string().strict(), 'words'), 'meanings of words').optional(),
}).required()

export const readPartRequest = object({
  text: string().defined('${path}: enter a value').strict().max(200_000),
  role: oneOf(roles).optional(),
}).required()

const statedFacts = mixed<Record<string, unknown>>(
  (value): value is Record<string, unknown> =>
    typeof value === 'object' && value !== null && !Array.isArray(value),
).default({})

/** A part as an endpoint is given it; facts in any usual spelling. */
const statedPart = object({
  id: text().required().max(200),
  role: oneOf(roles).required(),
  make: text().max(120).default(''),
  name: text().max(300).default(''),
  facts: statedFacts,
})

export const readListingRequest = object({
  text: string().defined('${path}: enter a value').strict().max(200_000),
  today: calendarDate().required(),
  currency: currencyCode().required(),
  library: array().of(statedPart.required()).max(5000).default([]),
}).required()

export const checkFitRequest = object({
  parts: array().of(statedPart.required()).required().max(100),
  brief: object({
    houseRules: mixed<Record<string, unknown>>().optional(),
    needs: array().of(oneOf(needs).required()).max(20).optional(),
    roomC: finite().min(5).max(50).optional(),
    screenInputs: texts().optional(),
  })
    .default(undefined)
    .optional(),
}).required()

/** A planning problem as it is stated from outside; amounts as decimal text. */
export const planRequest = object({
  currency: currencyCode().required(),
  asOf: calendarDate().required(),
  goal: object({
    kind: oneOf(['cheapest', 'fastest']).required(),
    budget: decimalText().optional(),
    floors: array().of(finite().min(0).required()).max(40).optional(),
  }).required(),
  roles: array().of(oneOf(roles).required()).required().min(1, 'choose the roles').max(20),
  parts: array()
    .of(
      object({
        id: text().required().max(200),
        role: oneOf(roles).required(),
        facts: statedFacts,
      }).required(),
    )
    .required()
    .max(5000),
  ways: array()
    .of(
      object({
        id: text().required().max(200),
        source: text().nullable().default(null),
        things: array()
          .of(object({ partId: text().required(), resale: decimalText().required() }).required())
          .required()
          .min(1, 'an option needs a part'),
        price: decimalText().required(),
        expectedExtra: decimalText({ min: 'any' }).required(),
        perDay: finite().min(0).nullable().default(null),
        condition: text().optional(),
      }).required(),
    )
    .required()
    .max(5000),
  sources: array()
    .of(
      object({
        id: text().required(),
        shipping: decimalText().required(),
        freeFrom: decimalText().nullable().default(null),
        taxPercent: percent().required(),
      }).required(),
    )
    .max(500)
    .default([]),
  codes: array()
    .of(
      object({
        id: text().required(),
        source: text().required(),
        kind: oneOf(['percent', 'fixed']).required(),
        value: decimalText().required(),
        minSpend: decimalText().optional(),
        cap: decimalText().optional(),
      }).required(),
    )
    .max(500)
    .default([]),
  frames: array()
    .of(
      object({
        cpu: text().required(),
        graphics: text().required(),
        fps: array().of(finite().moreThan(0).required()).required().max(40),
      }).required(),
    )
    .max(100_000)
    .default([]),
  within: object({
    days: finite().min(0).required(),
    chance: finite().moreThan(0).lessThan(1).required(),
  })
    .default(undefined)
    .optional(),
  pins: texts().optional(),
  bans: texts().optional(),
  seconds: finite().moreThan(0).max(30).optional(),
}).required()
export type PlanRequest = InferType<typeof planRequest>

export const frameTimesRequest = object({
  frameTimesMs: array().required().min(1, 'frameTimesMs must hold at least one frame'),
  targetFps: finite().moreThan(0, '${path} must be more than 0').required(),
  lowMethod: oneOf(['percentile', 'worst-share']),
}).required()

const amountText = () => decimalText().required('${path}: enter a value')
const plans = ['keep', 'resell', 'discard'] as const

const event = {
  arrived: { thing: text().required(), state: oneOf(['works', 'faulty', 'dead']).required() },
  'sent-back': { thing: text().required(), expected: amountText() },
  refunded: { thing: text().required(), amount: amountText(), gone: yesOrNo().required() },
  sold: { thing: text().required(), price: amountText(), fee: amountText(), postage: amountText() },
  'written-off': { thing: text().required() },
  'handed-on': { thing: text().required() },
  'sold-machine': {
    price: amountText(),
    fee: amountText(),
    postage: amountText(),
    hours: finite().min(0, '${path} must not be negative').required(),
  },
} as const
const eventKinds = Object.keys(event) as (keyof typeof event)[]

/** What happened to one thing, or to the machine; which fields it has follows from its kind. */
const historyEvent = lazy((value: unknown) => {
  const kind = (value as { kind?: unknown } | null)?.kind
  const known = eventKinds.find((each) => each === kind)
  return object({ kind: oneOf(eventKinds).required(), ...(known ? event[known] : {}) }).required()
})

export const accountRequest = object({
  currency: currencyCode().required(),
  budget: amountText(),
  budgetScope: oneOf(budgetScopes).default('everything'),
  paid: array()
    .of(
      object({
        id: text().required(),
        scope: oneOf(scopes).required(),
        amount: amountText(),
        things: array()
          .of(
            object({
              id: text().required(),
              plan: oneOf(plans).required(),
              worth: amountText(),
              fault: amountText(),
              worthToday: decimalText()
                .nullable()
                .defined('${path}: enter a value; null where it is not known'),
            }).required(),
          )
          .required()
          .min(1, '${path} must hold at least one part')
          .max(1000),
      }).required(),
    )
    .required()
    .max(1000),
  costs: array()
    .of(
      object({
        kind: oneOf(['fee', 'travel']).required(),
        scope: oneOf(scopes).required(),
        amount: amountText(),
      }).required(),
    )
    .required()
    .max(1000),
  toPay: array()
    .of(
      object({
        id: text().required(),
        scope: oneOf(scopes).required(),
        payNow: amountText(),
        fault: amountText(),
        worthToday: decimalText().nullable().defined('${path}: enter a value; null where it is not known'),
      }).required(),
    )
    .required()
    .max(1000),
  rebates: array()
    .of(
      object({
        line: text().required(),
        amount: amountText(),
        chance: share().required(),
        state: oneOf(['open', 'claimed', 'paid', 'refused', 'missed']).required(),
      }).required(),
    )
    .required()
    .max(1000),
  events: array().of(historyEvent).required().max(10_000),
}).required()
export type AccountRequest = InferType<typeof accountRequest>
