import { array, object, type InferType } from 'yup'
import { conditions, manners, type Condition, type Manner } from '#core/reading/sales/soldRecord'
import { protections } from '#core/supply/risk/faultRisk'
import { codeFields } from '../codes'
import {
  calendarDate,
  currencyCode,
  decimalText,
  idText,
  line,
  name,
  oneOf,
  percent,
  recordOf,
  text,
  wholeFrom,
  yesOrNo,
} from '../fields'

export const sourceKindNames = {
  classifieds: 'classifieds',
  auction: 'auction',
  refurbisher: 'refurbisher',
  shop: 'shop',
  counter: 'in-shop only',
} as const

/** A code that counts for all that a source sells. */
export const sourceCodeSchema = codeFields.shape({
  /** Whether everybody may use it. */
  isPublic: yesOrNo().default(true),
  /** The day one that works once was used. */
  usedOn: calendarDate().nullable().default(null),
})

export type SourceCode = InferType<typeof sourceCodeSchema>

/** What words of a source's tables mean, as the builder has said once: `second-hand` is used. */
export const meaningsSchema = object({
  manner: recordOf<Manner>(oneOf(manners).required(), 'words and what they mean').default({}),
  condition: recordOf<Condition>(oneOf(conditions).required(), 'words and what they mean').default({}),
})
export type Meanings = InferType<typeof meaningsSchema>

export const sourceSchema = object({
  id: idText(),
  name: name(),
  kind: oneOf(Object.keys(sourceKindNames) as (keyof typeof sourceKindNames)[]).required(),
  currency: currencyCode().required(),
  taxPercent: percent().required(),
  taxOnShipping: yesOrNo().required(),
  shipping: object({
    kind: oneOf(['none', 'per-item', 'per-order']).required(),
    amount: decimalText().default('0'),
    freeFrom: decimalText().nullable().default(null),
  }).required(),
  paymentFeePercent: percent().default(0),
  sellerFeePercent: percent().default(0),
  protection: oneOf(protections).required(),
  note: line(),
  importDutyPercent: percent().default(0),
  importTaxPercent: percent().default(0),
  importFreeUnder: decimalText().default('0'),
  exchangeFeePercent: percent().default(0),
  creditLowersTax: yesOrNo().default(false),
  codes: array().of(sourceCodeSchema).max(30).default([]),
  /** Left out: as they are. */
  meanings: meaningsSchema.nullable().optional().default(undefined),
})

export type SourceInput = InferType<typeof sourceSchema>

const webAddress = () =>
  text()
    .required('enter a URL')
    .max(1000)
    .test(
      'url',
      '${path} must begin with http:// or https://',
      (value) => value === undefined || (/^https?:\/\//.test(value) && URL.canParse(value)),
    )

const everyMinutes = () => wholeFrom(5).max(10_080, '${path} must be at most a week')

export const connectorKindNames = {
  'sold-csv': 'sold records (CSV)',
  'lead-feed': 'leads (Atom, RSS or JSON feed)',
  'shop-csv': 'shop prices (CSV)',
} as const

export const connectorSchema = object({
  sourceId: idText(),
  kind: oneOf(['sold-csv', 'lead-feed', 'shop-csv']).required(),
  url: webAddress(),
  everyMinutes: everyMinutes().default(360),
  allowPrivate: yesOrNo().default(false),
})

export type ConnectorInput = InferType<typeof connectorSchema>

export const connectorPatchSchema = object({
  url: webAddress().optional(),
  everyMinutes: everyMinutes(),
  allowPrivate: yesOrNo(),
  paused: yesOrNo(),
})

export type ConnectorPatch = InferType<typeof connectorPatchSchema>
