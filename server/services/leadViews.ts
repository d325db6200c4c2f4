import { and, eq, inArray, isNull } from 'drizzle-orm'
import { sumMarks } from '#core/leads/sumMarks'
import { valueLead, type LeadValue } from '#core/leads/valueLead'
import type { LotPlan } from '#core/lots/splitLot'
import type { Condition } from '#core/market/soldRecord'
import { noRate, rateTable } from '#core/money/rates'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import type { HouseRules } from '#shared/types'
import type { LeadInboxView } from '#shared/views'
import type { Database } from '../db/client'
import { builds, choices, codes, leads, leadThings, rebates, sources } from '../db/schema'
import { NotFoundError } from '../http/errors'
import { asksOf } from './leadAsks'
import { readStreetPrice, streetAt, useMarket, type Market } from './market'

type BuildRow = Pick<typeof builds.$inferSelect, 'id' | 'currency' | 'houseRules'>
type LeadRow = typeof leads.$inferSelect & { things: { partId: string; quantity: number; plan: LotPlan }[] }

export interface ValuedLead {
  readonly lead: LeadRow
  readonly sourceName: string
  readonly value: LeadValue
  /** The same lead at another price, in minor units of its currency. */
  revalue(price: number): LeadValue
}

/** The given leads, in any state, with what they cost and are worth to a build. Throws `no-rate` for a currency that cannot be converted. */
export async function valuedLeads(db: Database, market: Market, build: BuildRow, today: string, ids: readonly string[]): Promise<ValuedLead[]> {
  if (ids.length === 0) return []
  const rows = await db.select({ lead: leads, source: sources }).from(leads).innerJoin(sources, eq(sources.id, leads.sourceId)).where(inArray(leads.id, [...ids]))
  const [things, codeRows, rebateRows] = await Promise.all([
    db.select().from(leadThings).orderBy(leadThings.leadId, leadThings.position), db.select().from(codes), db.select().from(rebates),
  ])
  const byLead = <T extends { leadId: string }>(list: readonly T[]) => {
    const groups = new Map<string, T[]>()
    for (const each of list) groups.set(each.leadId, [...(groups.get(each.leadId) ?? []), each])
    return groups
  }
  const [thingsOf, codesOf, rebatesOf] = [byLead(things), byLead(codeRows), byLead(rebateRows)]
  const library = new Map(market.library.map((part) => [part.id, part]))
  const context = { currency: build.currency, today, rates: rateTable(market.rates), streetOf: (partId: string) => streetAt(market, partId, today, build.currency, build.houseRules.patience) }
  return rows.map(({ lead, source }) => {
    const own = thingsOf.get(lead.id) ?? []
    const revalue = (price: number) => valueLead({
      ...lead,
      price,
      terms: {
        taxPercent: source.taxPercent, taxOnShipping: source.taxOnShipping, paymentFeePercent: source.paymentFeePercent,
        shipping: { kind: source.shippingKind, amount: source.shippingAmount, ...(source.shippingFreeFrom === null ? {} : { freeFrom: source.shippingFreeFrom }) },
      },
      protection: source.protection,
      things: own.map((thing) => ({ ...thing, role: library.get(thing.partId)!.role })),
      codes: (codesOf.get(lead.id) ?? []).map((code) => ({
        id: code.word, kind: code.kind, value: code.value, scope: {}, stackable: true,
        ...(code.minSpend === null ? {} : { minSpend: code.minSpend }), ...(code.validUntil === null ? {} : { validUntil: code.validUntil }),
      })),
      rebates: rebatesOf.get(lead.id) ?? [],
    }, context)
    return { lead: { ...lead, things: own }, sourceName: source.name, value: revalue(lead.price), revalue }
  })
}

const boughtUsed: ReadonlySet<Condition> = new Set(['used', 'refurbished', 'opened', 'damaged'])

/** House rules a lead breaks, in words. */
export function houseRuleBreaches(rules: HouseRules, lead: Pick<LeadRow, 'condition' | 'things'>, library: ReadonlyMap<string, Part>): string[] {
  if (!boughtUsed.has(lead.condition)) return []
  const barred = lead.things.filter((thing) => thing.plan === 'keep').map((thing) => library.get(thing.partId)!).filter((part) => rules.neverUsed.includes(part.role))
  return barred.map((part) => `house rule: a ${roleNames[part.role]} is never bought used (${partLabel(part)})`)
}

/** First ask where it has changed since. */
function firstAskOf(asks: readonly { readonly ask: number }[]): number | null {
  return asks.length > 1 ? asks[0]!.ask : null
}

/** Titles by id, of leads in any state. */
export async function titlesOf(db: Database, ids: readonly string[]): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map()
  const rows = await db.select({ id: leads.id, title: leads.title }).from(leads).where(inArray(leads.id, [...ids]))
  return new Map(rows.map((row) => [row.id, row.title]))
}

/** The inbox of a build; leads whose currency cannot be converted stand apart, with the reason. */
export async function leadViews(db: Database, buildId: string, today: string): Promise<LeadInboxView> {
  const [build] = await db.select().from(builds).where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  const market = await useMarket(db)
  const table = rateTable(market.rates)
  const isConvertible = (row: { currency: string }) => table.find(today, row.currency, build.currency) !== null
  const chosen = await db.select({ id: choices.id, leadId: choices.leadId }).from(choices).where(and(eq(choices.buildId, buildId), isNull(choices.deletedAt)))
  // a listing that is gone leaves the inbox, unless this build counts on it
  const rows = (await db.select({ id: leads.id, title: leads.title, currency: leads.currency, vanishedOn: leads.vanishedOn }).from(leads).where(isNull(leads.deletedAt)))
    .filter((row) => row.vanishedOn === null || chosen.some((choice) => choice.leadId === row.id))
  const ids = rows.filter(isConvertible).map((row) => row.id)
  const [valued, asks] = await Promise.all([valuedLeads(db, market, build, today, ids), asksOf(db, ids)])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const views = valued.map(({ lead, sourceName, value }) => ({
    id: lead.id, externalId: lead.externalId, title: lead.title, sourceId: lead.sourceId, sourceName, url: lead.url, place: lead.place, note: lead.note, condition: lead.condition, manner: lead.manner,
    listedOn: lead.listedOn, endsOn: lead.endsOn, state: lead.state, vanishedOn: lead.vanishedOn, tieDeduced: lead.tieDeduced, firstAsk: firstAskOf(asks.get(lead.id) ?? []), currency: lead.currency,
    things: lead.things.map((thing, index) => {
      const part = library.get(thing.partId)!
      const share = value.split.things[index]!
      return {
        ...thing, name: partLabel(part), role: part.role, street: streetAt(market, part.id, today, build.currency, build.houseRules.patience),
        effectiveCost: share.effectiveCost?.amount ?? null, netResale: share.netResale.amount,
      }
    }),
    value,
    marks: sumMarks(lead.things.filter((thing) => thing.plan === 'keep').map((thing) => ({ marks: readStreetPrice(market, thing.partId, today, build.currency).marks, quantity: thing.quantity }))),
    choiceId: chosen.find((choice) => choice.leadId === lead.id)?.id ?? null,
    breaches: houseRuleBreaches(build.houseRules, lead, library),
  }))
  return { leads: views, unvalued: rows.filter((row) => !isConvertible(row)).map((row) => ({ id: row.id, title: row.title, reason: noRate(today, row.currency, build.currency) })) }
}
