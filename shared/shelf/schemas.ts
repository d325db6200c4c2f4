import { object } from 'yup'
import { conditions } from '#core/reading/sales/soldRecord'
import { calendarDate, currencyCode, decimalText, idText, line, oneOf } from '../fields'

export const shelfSchema = object({
  partId: idText(),
  condition: oneOf(conditions).required(),
  cost: decimalText().default('0'),
  currency: currencyCode().required(),
  note: line(),
})

export const saleSchema = object({
  day: calendarDate().required('a date is needed'),
  amount: decimalText().required('an amount is needed'),
  fee: decimalText().default('0'),
  buildId: idText(),
})
