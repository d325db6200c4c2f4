import { object } from 'yup'
import { arrivalVerdicts } from '#core/ledger/arrival'
import { rebateStates } from '#core/supply/landed/rebates'
import { calendarDate, decimalText, finite, line, name, oneOf, text, texts, trimmed } from '../fields'

export const tripSchema = object({
  name: name().max(60),
  km: finite().min(0).max(5000).required('how far, in km?'),
  fare: decimalText().default('0'),
  hours: finite().min(0).max(100).default(0),
})

export const paymentSchema = object({
  day: calendarDate().required('a date is needed'),
  amount: decimalText().required('an amount is needed'),
})

export const arrivalSchema = object({
  day: calendarDate().required('a date is needed'),
  verdict: oneOf(arrivalVerdicts).required(),
  foundPartId: text().nullable().default(null),
  checks: texts().default([]),
  note: line(500),
  returnBy: calendarDate().nullable().default(null),
})

export const returnSchema = object({
  state: oneOf(['to-send', 'sent', 'refunded']).required(),
  day: calendarDate().required('a date is needed'),
  amount: decimalText().nullable().default(null),
})

export const rebateStepSchema = object({
  state: oneOf(rebateStates).required(),
  day: calendarDate().required('a date is needed'),
})

export const entrySchema = object({
  day: calendarDate().required('a date is needed'),
  kind: oneOf(['fee', 'travel', 'sold', 'refunded', 'hours', 'correction']).required(),
  amount: decimalText({ min: 'any' }).default('0'),
  hours: finite().min(0).max(1000).default(0),
  text: trimmed().required('say what it was').max(200),
  correctsId: text().nullable().default(null),
})
