import { object } from 'yup'
import { calendarDate, currencyCode, decimalText, idText, name } from '../fields'

/** What a shop asks for a part on a day, by hand; a shop of that name is made where there is none. */
export const shopPriceSchema = object({
  partId: idText(),
  shop: name(),
  price: decimalText().required('enter a price'),
  currency: currencyCode().required(),
  date: calendarDate().required('enter a date'),
})
