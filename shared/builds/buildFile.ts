import { array, object, type InferType } from 'yup'
import { goneReasons, itemPlaces, itemStates } from '#core/ledger/itemLife'
import { scopes } from '#core/ledger/scopes'
import { conditions } from '#core/reading/sales/soldRecord'
import { entryKinds, type EntryKind } from '#core/ledger/ledger'
import { briefSchema } from '../brief/schemas'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  idText,
  line,
  oneOf,
  recordOf,
  text,
  texts,
  wholeFrom,
  yesOrNo,
} from '../fields'
import { sellingSchema } from '../ledger/selling'
import { choiceSchema } from '../machine/schemas'
import { librarySchema } from '../parts/libraryFile'
import { withPlainIds } from '../text/plainId'

/** Files of the first year called a correction a kind of its own. */
const entryKindNames = [...(Object.keys(entryKinds) as EntryKind[]), 'correction'] as const

const itemOfFile = object({
  partId: idText(),
  listedPartId: text().nullable().default(null),
  condition: oneOf(conditions).required(),
  place: oneOf(itemPlaces).required(),
  state: oneOf(itemStates).required(),
  goneBecause: oneOf(goneReasons).nullable().default(null),
  line: wholeFrom(0).nullable().default(null),
  isPaidHere: yesOrNo().default(true),
  scope: oneOf(scopes).default('core'),
  plan: oneOf(['keep', 'resell', 'discard']).default('keep'),
  isBuiltIn: yesOrNo().default(true),
  leftOut: texts().default([]),
  reason: line(),
  currency: currencyCode().required(),
  cost: decimalText().required(),
  remaining: decimalText({ min: 'any' }).required(),
  anyoneCanPay: finite().nullable().default(null),
  faultLoss: finite().nullable().default(null),
  expectedBack: decimalText().default('0'),
  soldFor: decimalText({ min: 'any' }).default('0'),
  leftOn: calendarDate().nullable().default(null),
  arrivedOn: calendarDate().nullable().default(null),
  returnBy: calendarDate().nullable().default(null),
  checks: texts().default([]),
  facts: recordOf(yesOrNo(), 'yes and no').default({}),
  note: line(500),
})

export const buildFileSchema = object({
  format: oneOf(['tarvin-build']).required('this is not a build file: "format" must be "tarvin-build"'),
  version: oneOf(['1']).required(),
  brief: briefSchema.required(),
  /** What its worth is read from; null: its parts. */
  selling: sellingSchema.nullable().default(null),
  choices: array()
    .of(choiceSchema.omit(['keepBoth']).shape({ paidOn: calendarDate().nullable().default(null) }))
    .default([]),
  rivals: array().of(text().required()).default([]),
  /** `choice` and `corrects` count from 0 in this file's own lists. */
  ledger: array()
    .of(
      object({
        day: calendarDate().required(),
        kind: oneOf(entryKindNames).required(),
        cash: decimalText({ min: 'any' }).required(),
        hours: finite().default(0),
        text: line(),
        scope: oneOf(scopes).default('core'),
        choice: wholeFrom(0).nullable().default(null),
        line: wholeFrom(0).nullable().default(null),
        corrects: wholeFrom(0).nullable().default(null),
      }),
    )
    .default([]),
  offers: array()
    .of(
      object({
        leadId: idText(),
        by: oneOf(['me', 'seller']).required(),
        amount: decimalText().nullable().default(null),
        day: calendarDate().required(),
        note: line(),
      }),
    )
    .default([]),
  /** What was bought, line by line. */
  orders: array()
    .of(
      object({
        sourceId: text().nullable().default(null),
        day: calendarDate().required(),
        currency: currencyCode().required(),
        paid: decimalText().required(),
        leadId: text().nullable().default(null),
        label: line(),
        reason: line(),
        booked: decimalText().required(),
      }),
    )
    .default([]),
  /** The things of the build; `line` counts from 0 in this file's orders. */
  items: array().of(itemOfFile).default([]),
  /** Of files of the first year, where a choice was marked as paid. */
  arrivals: array()
    .of(
      object({
        choice: wholeFrom(0).required(),
        day: calendarDate().required(),
        verdict: oneOf(['as-described', 'better', 'worse', 'faulty']).required(),
        foundPartId: text().nullable().default(null),
        checks: texts().default([]),
        note: line(500),
        returnBy: calendarDate().nullable().default(null),
        returnState: oneOf(['to-send', 'sent', 'refunded']).nullable().default(null),
      }),
    )
    .default([]),
  library: librarySchema.required(),
}).transform(withPlainIds)

export type BuildFile = InferType<typeof buildFileSchema>
