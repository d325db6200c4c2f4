import { and, eq, isNull } from 'drizzle-orm'
import { rateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import { anyoneCanPay, type ShopAsk, type ShopTerms, type ThingToGet } from '#core/supply/anyone/anyoneCanPay'
import { daysBetween } from '#core/time/calendarDate'
import type { Queryable } from '../db/client'
import { leads, leadThings } from '../db/schema/leads'
import { sources } from '../db/schema/sources'
import type { BuildRow } from './findBuild'
import { streetAt, type Market } from './market'
import { termsOf } from './termsOf'

/** What shops ask for each part in their open offers. */
export type OpenNewOffers = ReadonlyMap<string, readonly ShopAsk[]>

/** Open offers of shops of one new thing each, in the shop's own currency. */
export async function openNewOffers(db: Pick<Queryable, 'select'>): Promise<OpenNewOffers> {
  const rows = await db
    .select({ lead: leads, thing: leadThings, source: sources })
    .from(leads)
    .innerJoin(sources, eq(sources.id, leads.sourceId))
    .innerJoin(leadThings, eq(leadThings.leadId, leads.id))
    .where(and(eq(leads.state, 'open'), eq(leads.condition, 'new'), isNull(leads.deletedAt)))
  const things = new Map<string, number>()
  for (const { lead } of rows) things.set(lead.id, (things.get(lead.id) ?? 0) + 1)
  const offers = new Map<string, ShopAsk[]>()
  for (const { lead, thing, source } of rows) {
    if (things.get(lead.id) !== 1 || thing.quantity !== 1 || lead.currency !== source.currency) continue
    if (!['shop', 'counter', 'refurbisher'].includes(source.kind)) continue
    offers.set(thing.partId, [...(offers.get(thing.partId) ?? []), { shopId: source.id, price: lead.price }])
  }
  return offers
}

/** Everything that shops ask for a part: open offers, else the latest shop price of each shop as long as it is believed. */
export function asksFor(market: Market, partId: string, offers: OpenNewOffers, today: string): ShopAsk[] {
  const asks = [...(offers.get(partId) ?? [])]
  for (const [shopId, points] of market.shopHistory.get(partId) ?? []) {
    const last = points.filter((point) => point.date <= today).at(-1)
    if (!last || daysBetween(last.date, today) > market.assumptions.pricing.shopPriceDays) continue
    if (last.currency !== market.sources.get(shopId)?.currency) continue
    if (!asks.some((ask) => ask.shopId === shopId && ask.price <= last.price))
      asks.push({ shopId, price: last.price })
  }
  return asks
}

/** The terms of every shop, for a build in a currency. */
export function shopTerms(market: Market, currency: string): Map<string, ShopTerms> {
  return new Map(
    [...market.sources.values()].map((source) => {
      const { import: imported, exchangeFeePercent, ...terms } = termsOf(source, source.currency !== currency)
      return [
        source.id,
        {
          currency: source.currency,
          source: terms,
          ...(imported && { import: imported }),
          ...(exchangeFeePercent !== undefined && { exchangeFeePercent }),
        },
      ]
    }),
  )
}

/** A part to be had, as used as the house allows. */
export interface PartToGet {
  readonly id: string
  readonly part: Part
  /** Chosen new: its street price does not count. */
  readonly isNew: boolean
}

/** What anyone can pay for each of these parts, by the id asked with. */
export function anyonePrices(
  market: Market,
  { currency, houseRules }: Pick<BuildRow, 'currency' | 'houseRules'>,
  parts: readonly PartToGet[],
  offers: OpenNewOffers,
  today: string,
): Map<string, number | null> {
  const things = parts.map(({ id, part, isNew }): ThingToGet => ({
    id,
    role: part.role,
    used:
      isNew || houseRules.neverUsed.includes(part.role)
        ? null
        : streetAt(market, part.id, today, currency, houseRules.patience),
    asks: asksFor(market, part.id, offers, today),
  }))
  return anyoneCanPay(things, {
    currency,
    today,
    rates: rateTable(market.rates),
    shops: shopTerms(market, currency),
  })
}
