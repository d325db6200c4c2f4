import { convertAmount } from '../money/rates'
import { landedCost, type Order } from '../supply/landed/landedCost'
import type { BuildOrder } from './buildQuestion'

/** Roundings of one order and of its conversion can take so much off, minor units. */
const rounding = 2

/**
 * The least that a thing can add to an order that it may lie in, whatever else lies there: without shipping, at the
 * highest discount that its codes could ever give, with less risk for it. What the order really takes is never less.
 *
 * @param leftover what comes along of a lot and is sold on, 0 or less; in the build's currency, as the answer
 * @example 20.00 with 13 % tax, a code of 10 %: 20.34 less 0.02 for roundings
 */
export function leastInOrder(
  order: Order,
  leftover: number,
  { beside, currency, rate }: BuildOrder,
): { readonly price: number; readonly expectedExtra: number } {
  const { source, codes, extras, credit } = order
  const items = order.items.reduce((sum, { price, quantity }) => sum + price * quantity, 0)
  const others = beside.reduce(
    (sum, each) => sum + each.order.items.reduce((all, { price, quantity }) => all + price * quantity, 0),
    0,
  )
  const percent = codes.reduce((sum, { kind, value }) => sum + (kind === 'percent' ? value : 0), 0)
  const fixed = codes.reduce((sum, { kind, value }) => sum + (kind === 'fixed' ? value : 0), 0)
  // it may bring the others of its order under a code as well
  const discount = Math.min(items + others, ((items + others) * percent) / 100 + fixed)
  const off = credit?.amount ?? 0
  const tax = 1 + source.taxPercent / 100
  const { kind, amount, freeFrom } = source.shipping
  const count = order.items.reduce((sum, { quantity }) => sum + quantity, 0)
  const shipping = kind === 'per-item' && freeFrom === undefined ? amount * count : 0
  // and over the threshold from which they come for nothing
  const freed = others > 0 && freeFrom !== undefined && kind !== 'none' ? amount * tax : 0
  const price =
    (items - discount - (credit?.lowersTax ? off : 0)) * tax -
    (credit?.lowersTax ? 0 : off) +
    shipping -
    freed +
    extras.reduce((sum, extra) => sum + extra.amount, 0) -
    rounding
  const landed = landedCost(order)
  const share = items === 0 ? 0 : Math.max(0, 1 - percent / 100 - fixed / items)
  const extra = landed.expected.amount - landed.payNow.amount
  const least = extra - landed.faultLoss.amount * (1 - share)
  const isExact = extra === 0 && share === 1
  const inBuild = (of: number) =>
    order.currency === currency ? of : convertAmount(of, order.currency, currency, rate)
  return {
    price: inBuild(Math.floor(price)),
    expectedExtra: inBuild(Math.floor(least)) - (isExact ? 0 : 1) + leftover,
  }
}
