import type { ShopAsk } from '#core/supply/anyone/anyoneCanPay'
import { daysBetween } from '#core/time/calendarDate'
import type { Market } from './marketState'

/** What a shop asks for a new part, and since when it is known. */
export interface NewestAsk extends ShopAsk {
  readonly currency: string
  readonly date: string
  readonly leadId: string | null
}

/**
 * What every shop asks for a part today: its cheapest open offer, else its latest price as
 * long as that is believed.
 */
export function asksFor(market: Market, partId: string, today: string): NewestAsk[] {
  const asks = new Map<string, NewestAsk>()
  for (const offer of market.openOffers.get(partId) ?? []) {
    const known = asks.get(offer.shopId)
    if (!known || offer.price < known.price) asks.set(offer.shopId, offer)
  }
  for (const [shopId, points] of market.shopHistory.get(partId) ?? []) {
    const last = points.filter((point) => point.date <= today).at(-1)
    if (asks.has(shopId) || !last) continue
    if (daysBetween(last.date, today) > market.assumptions.pricing.shopPriceDays) continue
    if (!market.sources.has(shopId)) continue
    asks.set(shopId, { shopId, price: last.price, currency: last.currency, date: last.date, leadId: null })
  }
  return [...asks.values()]
}
