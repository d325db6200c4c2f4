import { array, object } from 'yup'
import { itemStates } from '#core/ledger/itemLife'
import { rebateStates } from '#core/supply/landed/rebates'
import { scopes } from '#core/ledger/scopes'
import {
  calendarDate,
  decimalText,
  finite,
  line,
  name,
  oneOf,
  recordOf,
  text,
  texts,
  trimmed,
  yesOrNo,
} from '../fields'

const day = () => calendarDate().required('enter a date')
const amount = () => decimalText().required('enter an amount')

export const daySchema = object({ day: day() })

export const tripSchema = object({
  name: name().max(60),
  km: finite().min(0).max(5000).required('enter the distance in km'),
  fare: decimalText().default('0'),
  hours: finite().min(0).max(100).default(0),
})

export const driveSchema = daySchema

/** One choice paid by itself. */
export const paymentSchema = object({ day: day(), amount: amount() })

/** An order, or some whole lines of it; without amounts as computed. */
export const orderPaymentSchema = object({
  choiceIds: texts().required('choose what you pay').min(1, 'choose what you pay').max(200),
  day: day(),
  total: decimalText().nullable().default(null),
  amounts: array()
    .of(object({ choiceId: text().required(), amount: amount() }).required())
    .max(200)
    .default([]),
})

/** Choices of one shop ordered apart from the others (a name), or together with them again (null). */
export const orderGroupSchema = object({
  choiceIds: texts().required('choose one').min(1, 'choose one').max(200),
  group: text().max(60).nullable().default(null),
})

export const machineSaleSchema = object({
  day: day(),
  price: amount(),
  fee: decimalText().default('0'),
  postage: decimalText().default('0'),
  hours: finite().min(0).max(1000).default(0),
})

/** A build that begins with this machine: its name, and what may be spent on it. */
export const upgradeSchema = object({ day: day(), name: name().max(80), budget: amount() })

export const returnedMachineSchema = object({ day: day(), amount: amount() })

const found = {
  /** What it turned out to be. */
  foundPartId: text().nullable().default(null),
  /** What was found on it that its part does not say. */
  facts: recordOf(yesOrNo(), 'yes and no').default({}),
  note: line(500),
} as const

/** The steps of a thing, by name; each has its own route. */
export const itemSteps = {
  arrive: object({
    day: day(),
    state: oneOf(itemStates.filter((state) => state !== 'unseen')).required('choose whether it works'),
    checks: texts().default([]),
    returnBy: calendarDate().nullable().default(null),
    /** The trip that was to fetch it was driven. */
    tripDriven: yesOrNo().default(false),
    ...found,
  }),
  cancel: object({ day: day(), missing: yesOrNo().default(false), amount: amount() }),
  'send-back': object({ day: day(), expected: decimalText().nullable().default(null) }),
  refund: object({ day: day(), amount: amount(), kept: yesOrNo().default(false) }),
  'come-back': object({ day: day() }),
  move: object({ day: day(), buildId: text().nullable().default(null), scope: oneOf(scopes).optional() }),
  find: object({
    day: day(),
    state: oneOf(itemStates.filter((state) => state !== 'unseen')).required('choose whether it works'),
    repaired: yesOrNo().default(false),
    ...found,
  }),
  sell: object({
    day: day(),
    price: amount(),
    fee: decimalText().default('0'),
    postage: decimalText().default('0'),
    buildId: text().nullable().default(null),
  }),
  'write-off': object({ day: day() }),
  'trade-in': object({ day: day() }),
  /** Into things of their own, one entry a piece. */
  split: object({
    day: day(),
    parts: texts()
      .required('choose the parts it splits into')
      .min(2, 'choose at least two parts to split into')
      .max(40),
  }),
  'take-back': object({ day: day(), amount: amount() }),
  arrange: object({
    scope: oneOf(scopes).optional(),
    reason: text().max(300).optional(),
    leftOut: array().of(text().defined().max(120)).max(40).optional(),
    isBuiltIn: yesOrNo().optional(),
  }),
} as const

export const rebateStepSchema = object({
  state: oneOf(rebateStates).required(),
  day: day(),
})

export const entrySchema = object({
  day: day(),
  kind: oneOf(['fee', 'travel', 'sold', 'refunded', 'hours']).required(),
  amount: decimalText({ min: 'any' }).default('0'),
  hours: finite().min(0).max(1000).default(0),
  text: trimmed().required('enter a description').max(200),
  correctsId: text().nullable().default(null),
})
