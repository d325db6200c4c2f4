import { array, mixed, object, type InferType } from 'yup'
import type { Answer } from '#core/reading/listings/completeness'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { defaultRebateChance, rebateStates } from '#core/supply/landed/rebates'
import { faultSigns, type FaultSign } from '#core/supply/risk/faultRisk'
import { codeFields } from '../codes'
import {
  calendarDate,
  currencyCode,
  decimalText,
  idText,
  line,
  name,
  oneOf,
  share,
  text,
  trimmed,
  wholeFrom,
  yesOrNo,
} from '../fields'

export const codeSchema = codeFields.shape({
  /** For this lead alone, in whatever order it stands. */
  onlyThis: yesOrNo().default(false),
})

export const rebateSchema = object({
  kind: oneOf(['mail-in', 'online', 'trade-in']).required(),
  amount: decimalText().required('enter an amount'),
  claimBy: calendarDate().required('enter the last day to claim'),
  state: oneOf(rebateStates).default('to-claim'),
  chance: share().default(defaultRebateChance),
  proof: line(200),
  expectedBy: calendarDate().nullable().default(null),
  campaign: line(80),
  perHousehold: wholeFrom(1).nullable().default(null),
  tradedPartId: text().nullable().default(null),
})

export const leadSchema = object({
  sourceId: idText(),
  externalId: line(200),
  title: name().max(300),
  url: line(1000).test(
    'url',
    '${path} must begin with http:// or https://',
    (value) => value === undefined || value === '' || /^https?:\/\//.test(value),
  ),
  price: decimalText().required('enter a price'),
  currency: currencyCode().required(),
  condition: oneOf(conditions).required(),
  manner: oneOf(manners).required(),
  listedOn: calendarDate().required(),
  endsOn: calendarDate().nullable().default(null),
  shipping: decimalText().nullable().default(null),
  place: line(120),
  note: line(1000),
  things: array()
    .of(
      object({
        partId: idText(),
        quantity: wholeFrom(1).max(100).default(1),
        plan: oneOf(['keep', 'resell', 'discard']).default('keep'),
      }),
    )
    .required()
    .min(1, 'choose at least one part for the lead')
    .max(30),
  code: codeSchema.nullable().default(null),
  /** One rebate, as files of earlier versions have it; it stands first among all of them. */
  rebate: rebateSchema.nullable().default(null),
  rebates: array().of(rebateSchema).max(8).default([]),
  /** Credit at the till for a thing of mine that the seller takes. */
  tillCredit: object({
    amount: decimalText().required('enter an amount'),
    itemId: text().nullable().default(null),
  })
    .nullable()
    .default(null),
  text: line(8000),
  answers: mixed<Record<string, Answer>>(
    (value): value is Record<string, Answer> =>
      typeof value === 'object' &&
      value !== null &&
      Object.values(value).every((each) => each === 'yes' || each === 'no'),
  ).default({}),
  signs: mixed<Partial<Record<FaultSign, boolean>>>(
    (value): value is Partial<Record<FaultSign, boolean>> =>
      typeof value === 'object' &&
      value !== null &&
      Object.entries(value).every(
        ([key, each]) => faultSigns.includes(key as FaultSign) && typeof each === 'boolean',
      ),
  ).default({}),
  extras: array()
    .of(
      object({
        label: trimmed().required('enter a description').max(80),
        amount: decimalText().required('enter an amount'),
      }),
    )
    .max(20)
    .default([]),
})

export type LeadInput = InferType<typeof leadSchema>

const changesOf = <T>(isValid: (value: unknown) => boolean, what: string) =>
  mixed<Record<string, T | null>>()
    .optional()
    .test(
      'changes',
      `\${path} must be an object of ${what}`,
      (value) =>
        value === undefined ||
        (typeof value === 'object' &&
          value !== null &&
          Object.values(value).every((each) => each === null || isValid(each))),
    )

export const leadDaySchema = object({ day: calendarDate().required('enter a date') })

export const agreeSchema = object({
  day: calendarDate().required('enter a date'),
  amount: decimalText().required('enter an amount'),
  until: calendarDate().nullable().default(null),
})

/** Passed on, or wanted after all, by one build; left out: by all. */
const byBuild = { buildId: text().max(120).nullable().default(null) }

export const reopenSchema = leadDaySchema.shape(byBuild)

export const passSchema = object({
  ...byBuild,
  day: calendarDate().required('enter a date'),
  reason: line(200),
})

export const leadPatchSchema = object({
  deleted: yesOrNo(),
  askedOn: calendarDate().nullable(),
  tripId: text().nullable(),
  answers: changesOf<Answer>((value) => value === 'yes' || value === 'no', 'yes, no or null'),
  signs: changesOf<boolean>((value) => typeof value === 'boolean', 'true, false or null'),
})

/** The note from the door, as it came back. */
export const doorNoteSchema = object({ text: trimmed().required('paste the on-site note').max(20_000) })

export const offerSchema = object({
  by: oneOf(['me', 'seller']).required(),
  amount: decimalText().nullable().default(null),
  day: calendarDate().required('enter a date'),
  note: line(300),
})

/** `?arrival=1`: the picture shows what came out of the box. */
export const photoQuery = object({ arrival: text().default('') })
