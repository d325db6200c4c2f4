import { object } from 'yup'
import { conditions } from '#core/reading/sales/soldRecord'
import { currencyCode, decimalText, idText, line, oneOf } from '../fields'

export const shelfSchema = object({
  partId: idText(),
  condition: oneOf(conditions).required(),
  cost: decimalText().default('0'),
  currency: currencyCode().required(),
  note: line(),
})
