import { convertAmount, type RateTable } from '../../money/rates'
import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'
import type { Currency } from '../../money/money'
import type { CalendarDate } from '../../time/calendarDate'
import { landedCost, type LandedCost, type Order } from '../landed/landedCost'

/** What a shop asks for a part. Amounts in minor units of the shop's currency. */
export interface ShopAsk {
  readonly shopId: string
  readonly price: number
}

/** The terms of a shop that an order of its things is placed on, with the codes that everybody may use. */
export type ShopTerms = Pick<Order, 'currency' | 'source' | 'import' | 'exchangeFeePercent' | 'codes'>

/** What a shop asks for several new things at once, that everybody may buy. */
export interface ShopBundle extends ShopAsk {
  /** Names it. */
  readonly id: string
  /** Parts in it, one entry a piece. */
  readonly partIds: readonly string[]
}

/** A thing that anyone would have to get. */
export interface ThingToGet {
  readonly id: string
  readonly partId: string
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
  /** Left out: none. */
  readonly bundles?: readonly ShopBundle[]
}

/**
 * The market price for each thing of a machine, docs/formulas.md (Lives and figures): the lower of its street
 * price and its new price, where the new price is its share of one order a shop: each thing stands with the shop
 * where it is cheapest landed alone, and those that are cheaper new than used are ordered there together. Only codes
 * that everybody may use; what a code takes off one thing is that thing's. A bundle all of which is wanted is taken where
 * that is cheaper, the one that saves most first, as an order of its own. No rebates, no trips, no hours. Null where
 * nothing is known.
 *
 * @example street 100.00, in a shop 90.00 + 5.00 shipping: 95.00; two such things in one order: 92.50 each
 */
export function anyoneCanPay(things: readonly ThingToGet[], anyone: Anyone): Map<string, number | null> {
  let [left, prices] = [things, pricesApart(things, anyone)]
  const taken = new Map<string, number | null>()
  for (;;) {
    const offers = (anyone.bundles ?? []).flatMap((bundle) => {
      const inside = insideOf(bundle, left)
      const alone = inside && priceOfBundle(bundle, anyone)
      if (!inside || alone === null) return []
      const rest = left.filter((thing) => !inside.includes(thing))
      const then = pricesApart(rest, anyone)
      const before = sumOf(prices, left)
      const after = sumOf(then, rest)
      const saved = before.sum - after.sum - alone
      const settles = before.unknown - after.unknown
      return settles > 0 || (settles === 0 && saved > 0)
        ? [{ inside, alone, rest, then, saved, settles }]
        : []
    })
    const [best] = offers.sort((a, b) => b.settles - a.settles || b.saved - a.saved)
    if (!best) break
    const weights = best.inside.map(({ id }) => prices.get(id) ?? 1)
    splitByLargestRemainder(best.alone, weights).forEach((share, at) => taken.set(best.inside[at]!.id, share))
    ;[left, prices] = [best.rest, best.then]
  }
  return new Map(things.map(({ id }) => [id, taken.has(id) ? taken.get(id)! : prices.get(id)!]))
}

/** The things that a bundle brings; null where one of its parts is not wanted. */
function insideOf({ partIds }: ShopBundle, things: readonly ThingToGet[]): ThingToGet[] | null {
  const left = [...things]
  const found: ThingToGet[] = []
  for (const partId of partIds) {
    const at = left.findIndex((thing) => thing.partId === partId)
    if (at < 0) return null
    found.push(...left.splice(at, 1))
  }
  return found
}

function priceOfBundle(bundle: ShopBundle, anyone: Anyone): number | null {
  return landedAt(anyone, bundle.shopId, [{ id: bundle.id, role: 'extra', price: bundle.price }])
}

function sumOf(prices: ReadonlyMap<string, number | null>, things: readonly ThingToGet[]) {
  const known = things.flatMap(({ id }) => prices.get(id) ?? [])
  return { sum: known.reduce((sum, price) => sum + price, 0), unknown: things.length - known.length }
}

interface Bought {
  readonly id: string
  readonly role: string
  readonly price: number
}

/** An order of a shop, in its own currency. */
function orderAt({ today, shops }: Anyone, shopId: string, items: readonly Bought[]): LandedCost {
  return landedCost({
    ...shops.get(shopId)!,
    asOf: today,
    rebates: [],
    extras: [],
    items: items.map((item) => ({ ...item, quantity: 1 })),
  })
}

/** What an order of a shop comes to; null without a rate. */
function landedAt(anyone: Anyone, shopId: string, items: readonly Bought[]): number | null {
  const { amount, currency: from } = orderAt(anyone, shopId, items).payNow
  if (from === anyone.currency) return amount
  const rate = anyone.rates.find(anyone.today, from, anyone.currency)
  return rate === null ? null : convertAmount(amount, from, anyone.currency, rate)
}

/** Prices of things where none of them comes in a bundle. */
function pricesApart(things: readonly ThingToGet[], anyone: Anyone): Map<string, number | null> {
  const prices = new Map<string, number | null>(things.map(({ id, used }) => [id, used]))
  const baskets = new Map<string, { thing: ThingToGet; price: number }[]>()
  for (const thing of things) {
    const best = cheapestAlone(thing, ({ shopId, price }) => landedAt(anyone, shopId, [{ ...thing, price }]))
    if (best === null || (thing.used !== null && best.alone >= thing.used)) continue
    baskets.set(best.shopId, [...(baskets.get(best.shopId) ?? []), { thing, price: best.price }])
  }
  for (const [shopId, basket] of baskets) {
    const items = basket.map(({ thing: { id, role }, price }) => ({ id, role, price }))
    const total = landedAt(anyone, shopId, items)!
    // what codes leave of each bears the rest, so that a code for one thing is that thing's
    const { itemsAfterCodes } = orderAt(anyone, shopId, items)
    const shares = splitByLargestRemainder(total, itemsAfterCodes)
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
