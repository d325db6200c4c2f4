import { convertAmount, type RateTable } from '../../money/rates'
import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'
import type { Currency } from '../../money/money'
import type { CalendarDate } from '../../time/calendarDate'
import { landedCost, type Order } from '../landed/landedCost'

/** What a shop asks for a part. Amounts in minor units of the shop's currency. */
export interface ShopAsk {
  readonly shopId: string
  readonly price: number
}

/** The terms of a shop that an order of its things is placed on, with the codes that everybody may use. */
export type ShopTerms = Pick<Order, 'currency' | 'source' | 'import' | 'exchangeFeePercent' | 'codes'>

/** A thing that anyone would have to get. */
export interface ThingToGet {
  readonly id: string
  readonly role: string
  /**
   * Street price at the builder's patience, minor units of the build's currency; null where none was sold, or a rule
   * bars used.
   */
  readonly used: number | null
  /** What shops ask for it. */
  readonly asks: readonly ShopAsk[]
}

export interface Anyone {
  readonly currency: Currency
  readonly today: CalendarDate
  readonly rates: RateTable
  readonly shops: ReadonlyMap<string, ShopTerms>
}

/**
 * The market price for each thing of a machine, docs/formulas.md (Lives and figures): the lower of its street
 * price and its new price, where the new price is its share of one order a shop: each thing stands with the shop
 * where it is cheapest landed alone, and those that are cheaper new than used are ordered there together. Only codes
 * that everybody may use. No rebates, no trips, no hours. Null where neither is known.
 *
 * @example street 100.00, in a shop 90.00 + 5.00 shipping: 95.00; two such things in one order: 92.50 each
 */
export function anyoneCanPay(
  things: readonly ThingToGet[],
  { currency, today, rates, shops }: Anyone,
): Map<string, number | null> {
  const inBuild = (amount: number, from: Currency): number | null => {
    if (from === currency) return amount
    const rate = rates.find(today, from, currency)
    return rate === null ? null : convertAmount(amount, from, currency, rate)
  }
  const landed = (shopId: string, basket: readonly { thing: ThingToGet; price: number }[]): number | null => {
    const { currency: from, ...terms } = shops.get(shopId)!
    const order = landedCost({
      ...terms,
      currency: from,
      asOf: today,
      rebates: [],
      extras: [],
      items: basket.map(({ thing, price }) => ({ id: thing.id, role: thing.role, price, quantity: 1 })),
    })
    return inBuild(order.payNow.amount, from)
  }
  const prices = new Map<string, number | null>(things.map(({ id, used }) => [id, used]))
  const baskets = new Map<string, { thing: ThingToGet; price: number }[]>()
  for (const thing of things) {
    const best = cheapestAlone(thing, (ask) => landed(ask.shopId, [{ thing, price: ask.price }]))
    if (best === null || (thing.used !== null && best.alone >= thing.used)) continue
    baskets.set(best.shopId, [...(baskets.get(best.shopId) ?? []), { thing, price: best.price }])
  }
  for (const [shopId, basket] of baskets) {
    const total = landed(shopId, basket)!
    const shares = splitByLargestRemainder(
      total,
      basket.map(({ price }) => price),
    )
    basket.forEach(({ thing }, index) => prices.set(thing.id, lower(thing.used, shares[index]!)))
  }
  return prices
}

function lower(used: number | null, fresh: number): number {
  return used === null ? fresh : Math.min(used, fresh)
}

function cheapestAlone(
  thing: ThingToGet,
  landed: (ask: ShopAsk) => number | null,
): (ShopAsk & { readonly alone: number }) | null {
  const known = thing.asks.flatMap((ask) => {
    const alone = landed(ask)
    return alone === null ? [] : [{ ...ask, alone }]
  })
  return known.sort((a, b) => a.alone - b.alone || (a.shopId < b.shopId ? -1 : 1))[0] ?? null
}
