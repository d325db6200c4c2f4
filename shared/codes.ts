import { object } from 'yup'
import { roles } from '#core/parts/part'
import { calendarDate, decimalText, oneOf, text, yesOrNo } from './fields'

/** A code at checkout, of a lead or of a source. */
export const codeFields = object({
  word: text().required('enter the code').max(60),
  kind: oneOf(['percent', 'fixed']).required(),
  value: decimalText().required('enter a value'),
  minSpend: decimalText().nullable().default(null),
  validFrom: calendarDate().nullable().default(null),
  validUntil: calendarDate().nullable().default(null),
  once: yesOrNo().default(false),
  cap: decimalText().nullable().default(null),
  stackable: yesOrNo().default(true),
  role: oneOf(roles).nullable().default(null),
})
