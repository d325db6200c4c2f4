import { CoreError } from '../../errors/coreError'
import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'
import { landedCost, type LandedCost, type Order } from '../landed/landedCost'

/** Orders of one source put together, against placing them one by one. Amounts in minor units. */
export interface JoinedOrder {
  readonly landed: LandedCost
  /** What each order bears of the joint one; they add up to its total exactly. */
  readonly shares: readonly number[]
  /** The same of what is expected; they add up to it exactly. */
  readonly expectedShares: readonly number[]
  readonly separately: number
  /** What joining saves; below zero where a code may be used once only and shipping was free anyway. */
  readonly saved: number
  /** How much more brings free shipping; null where it is free already or never. */
  readonly freeShippingGap: number | null
}

/**
 * Puts orders of one source and currency together: one shipping, thresholds and codes on the whole. A code that stands
 * in several of them is used once. The shares follow what codes leave of each order's items; what is expected of each is its
 * share, its own rebates and its own risk, and what codes and thresholds change of the risk is spread by share.
 *
 * @throws CoreError `different-currencies`, `no-orders`
 */
export function joinedOrder(orders: readonly Order[]): JoinedOrder {
  const [first] = orders
  if (!first) throw new CoreError('no-orders', {})
  if (orders.some((order) => order.currency !== first.currency))
    throw new CoreError('different-currencies', {})
  const codes = [...new Map(orders.flatMap((order) => order.codes).map((code) => [code.id, code])).values()]
  const joint: Order = {
    ...first,
    items: orders.flatMap((order) => order.items),
    codes,
    rebates: orders.flatMap((order) => order.rebates),
    extras: orders.flatMap((order) => order.extras),
    ...creditOf(orders),
  }
  const landed = landedCost(joint)
  const separately = orders.reduce((sum, order) => sum + landedCost(order).payNow.amount, 0)
  const shares = sharesOf(orders, landed)
  return {
    landed,
    shares,
    expectedShares: expectedShares(orders, landed, shares),
    separately,
    saved: separately - landed.payNow.amount,
    freeShippingGap: gapOf(joint, landed),
  }
}

/** All credits at the till together. */
function creditOf(orders: readonly Order[]): Pick<Order, 'credit'> {
  const credits = orders.flatMap(({ credit }) => credit ?? [])
  return credits.length === 0
    ? {}
    : {
        credit: {
          amount: credits.reduce((sum, { amount }) => sum + amount, 0),
          lowersTax: credits[0]!.lowersTax,
        },
      }
}

/**
 * By what codes leave of each order's items, which bears shipping, tax and fees; what an order makes necessary, and
 * its credit, is its own.
 */
function sharesOf(orders: readonly Order[], landed: LandedCost): number[] {
  const extras = orders.map(
    (order) => order.extras.reduce((sum, { amount }) => sum + amount, 0) - (order.credit?.amount ?? 0),
  )
  let at = 0
  const weights = orders.map((order) =>
    order.items.reduce((sum) => sum + Math.max(0, landed.itemsAfterCodes[at++]!), 0),
  )
  const rest = landed.payNow.amount - extras.reduce((sum, amount) => sum + amount, 0)
  return splitByLargestRemainder(rest, weights).map((share, index) => share + extras[index]!)
}

/** Each order's share of the total with its own rebates and risk; what the joint order's risk differs by is spread by share. */
function expectedShares(orders: readonly Order[], landed: LandedCost, shares: readonly number[]): number[] {
  const rough = orders.map((order, index) => {
    const own = landedCost(order)
    return shares[index]! + own.expected.amount - own.payNow.amount
  })
  const over = landed.expected.amount - rough.reduce((sum, each) => sum + each, 0)
  const corrections = splitByLargestRemainder(
    over,
    shares.map((share) => Math.max(0, share)),
  )
  return rough.map((each, index) => each + corrections[index]!)
}

function gapOf({ source: { shipping } }: Order, landed: LandedCost): number | null {
  if (shipping.freeFrom === undefined || shipping.kind === 'none' || shipping.amount === 0) return null
  const afterCodes = landed.lines.reduce(
    (sum, line) => sum + (line.kind === 'item' || line.kind === 'code' ? line.amount.amount : 0),
    0,
  )
  return afterCodes >= shipping.freeFrom ? null : shipping.freeFrom - afterCodes
}
