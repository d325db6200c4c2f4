import { and, eq, isNull } from 'drizzle-orm'
import type { ShopAsk } from '#core/supply/anyone/anyoneCanPay'
import { daysBetween } from '#core/time/calendarDate'
import type { Queryable } from '../db/client'
import { leads, leadThings } from '../db/schema/leads'
import { sources } from '../db/schema/sources'
import type { Market, OpenOffer, OpenOffers } from './marketState'

/** Open offers of shops of one new thing each, in the shop's own currency. */
export async function readOpenOffers(db: Pick<Queryable, 'select'>): Promise<OpenOffers> {
  const rows = await db
    .select({ lead: leads, thing: leadThings, source: sources })
    .from(leads)
    .innerJoin(sources, eq(sources.id, leads.sourceId))
    .innerJoin(leadThings, eq(leadThings.leadId, leads.id))
    .where(
      and(
        eq(leads.state, 'open'),
        eq(leads.condition, 'new'),
        isNull(leads.deletedAt),
        isNull(leads.vanishedOn),
      ),
    )
    .orderBy(leads.id)
  const things = new Map<string, number>()
  for (const { lead } of rows) things.set(lead.id, (things.get(lead.id) ?? 0) + 1)
  const offers = new Map<string, OpenOffer[]>()
  for (const { lead, thing, source } of rows) {
    if (things.get(lead.id) !== 1 || thing.quantity !== 1 || lead.currency !== source.currency) continue
    if (!['shop', 'counter', 'refurbisher'].includes(source.kind)) continue
    offers.set(thing.partId, [
      ...(offers.get(thing.partId) ?? []),
      {
        shopId: source.id,
        price: lead.price,
        currency: lead.currency,
        leadId: lead.id,
        date: lead.lastSeenOn ?? lead.listedOn,
      },
    ])
  }
  return offers
}

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
