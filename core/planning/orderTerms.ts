import type { Code } from '../supply/landed/codes'
import type { Order } from '../supply/landed/landedCost'
import type { PlanSource } from './problem'

/** How an order of a shop is charged, as far as the program of a plan can say it without a remainder. */
export interface OrderTerms {
  readonly terms: PlanSource
  readonly code: Code | null
}

/**
 * The terms on which things of one shop come in one order: shipping once, free from a threshold, tax, one code for the
 * whole order. Null where they go beyond that (a fee of payment, duty, credit at the till, a code for one kind of part,
 * several codes, shipping for each thing): such ways are priced one by one, which is never too low.
 *
 * @example two of one shop, shipping 9.99 free from 150.00, tax 13 %: those terms, no code
 */
export function orderTerms(orders: readonly Order[]): OrderTerms | null {
  const [first] = orders
  if (!first || orders.some((order) => !isPlain(order) || !hasTermsOf(order, first))) return null
  const { taxPercent, taxOnShipping, shipping } = first.source
  const [code = null] = first.codes
  return {
    terms: {
      shipping: shipping.kind === 'none' ? 0 : shipping.amount,
      freeFrom: shipping.kind === 'none' ? null : (shipping.freeFrom ?? null),
      taxPercent,
      taxOnShipping,
    },
    code,
  }
}

function isPlain({ source, codes, extras, ...rest }: Order): boolean {
  const { credit, pickup, exchangeFeePercent } = rest
  return (
    credit === undefined &&
    pickup === undefined &&
    rest.import === undefined &&
    (exchangeFeePercent ?? 0) === 0 &&
    (source.paymentFeePercent ?? 0) === 0 &&
    source.shipping.kind !== 'per-item' &&
    extras.length === 0 &&
    codes.length <= 1 &&
    codes.every(({ scope }) => Object.keys(scope).length === 0)
  )
}

const hasTermsOf = (order: Order, first: Order) =>
  order.currency === first.currency &&
  JSON.stringify([order.source, order.codes]) === JSON.stringify([first.source, first.codes])
