import { array, object, type InferType } from 'yup'
import { entryKinds, type EntryKind } from '#core/ledger/ledger'
import { briefSchema } from '../brief/schemas'
import { calendarDate, decimalText, finite, idText, line, oneOf, text, wholeFrom } from '../fields'
import { arrivalSchema } from '../ledger/schemas'
import { choiceSchema } from '../machine/schemas'
import { librarySchema } from '../parts/libraryFile'

const entryKindNames = Object.keys(entryKinds) as EntryKind[]

export const buildFileSchema = object({
  format: oneOf(['tarvin-build']).required('this is not a build file: "format" must be "tarvin-build"'),
  version: oneOf(['1']).required(),
  brief: briefSchema.required(),
  choices: array()
    .of(choiceSchema.shape({ paidOn: calendarDate().nullable().default(null) }))
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
        choice: wholeFrom(0).nullable().default(null),
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
  arrivals: array()
    .of(
      arrivalSchema.shape({
        choice: wholeFrom(0).required(),
        returnState: oneOf(['to-send', 'sent', 'refunded']).nullable().default(null),
      }),
    )
    .default([]),
  library: librarySchema.required(),
})

export type BuildFile = InferType<typeof buildFileSchema>
