import { object } from 'yup'
import { currencyCode, wholeFrom } from '../fields'

/** Of which import, and the currency in which its sales are judged. */
export const proposalsRequest = object({
  import: wholeFrom(1).required(),
  currency: currencyCode().required('choose a currency'),
})
