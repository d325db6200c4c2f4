import { object } from 'yup'
import { calendarDate, currencyCode, text, yesOrNo } from '../fields'

/** A dated exchange rate: one unit of `from` in `to`, as decimal text. */
export interface RateView {
  readonly date: string
  readonly from: string
  readonly to: string
  readonly rate: string
}

export const rateKeySchema = object({
  date: calendarDate().required('enter a date'),
  from: currencyCode().required(),
  to: currencyCode().required(),
})

export const rateSchema = rateKeySchema.shape({
  rate: text()
    .required('enter a rate')
    .matches(/^\d{1,9}(\.\d{1,8})?$/, '${path} is a number with a point, such as 1.36')
    .test('rate', '${path} must be more than 0', (value) => Number(value) > 0),
  bothWays: yesOrNo().default(true),
})
