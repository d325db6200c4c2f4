import { number, object } from 'yup'
import type { SalesOf } from '#core/pricing/proposals/salesOf'
import { currencyCode } from '../fields'

/** Of which import, and the currency in which its sales are judged. */
export const proposalsQuery = object({
  import: number().integer().min(1).required(),
  currency: currencyCode().required('choose a currency'),
})

/** Parts that could be made of the past sales of an import. */
export interface Proposals {
  readonly titles: readonly string[]
  readonly sales: readonly SalesOf[]
  /** How many were looked at, of how many that came. */
  readonly looked: number
  readonly of: number
}
