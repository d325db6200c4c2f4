import { and, eq, inArray, isNull } from 'drizzle-orm'
import { payUpToPrice } from '#core/market/patience'
import { patienceCurve } from '#core/market/patienceCurve'
import { partLabel } from '#core/parts/part'
import { daysBetween } from '#core/time/calendarDate'
import type { PriceBrief, PriceView, RecordView } from '#shared/views'
import type { Database } from '../db/client'
import { builds, choices, leads, leadThings, parts, shelf, soldRecords, sources } from '../db/schema'
import { NotFoundError } from '../http/errors'
import { newPriceIn, readStreetPrice, useMarket, type Market } from './market'

type BuildRow = typeof builds.$inferSelect

/** Horizon of the patience curve where the build has no date. */
const defaultPatienceDays = 30

/** Parts that have comps, an offer or a place in the build, each with its small price rule. */
export async function priceBriefs(db: Database, buildId: string, today: string): Promise<PriceBrief[]> {
  const build = await findBuild(db, buildId)
  const [market, chosen] = await Promise.all([useMarket(db), chosenParts(db, buildId)])
  const briefs = market.library.map((part) => priceBrief(market, part.id, build.currency, today))
  return briefs.filter((brief) => brief.kept > 0 || brief.newPrice !== null || chosen.has(brief.partId))
    .map((brief) => ({ ...brief, inBuild: chosen.has(brief.partId) }))
}

async function findBuild(db: Database, buildId: string): Promise<BuildRow> {
  const [build] = await db.select().from(builds).where(eq(builds.id, buildId))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  return build
}

async function chosenParts(db: Database, buildId: string): Promise<Set<string>> {
  const rows = await db.select().from(choices).where(and(eq(choices.buildId, buildId), isNull(choices.deletedAt)))
  const leadIds = rows.flatMap((row) => row.leadId ?? [])
  const shelfIds = rows.flatMap((row) => row.shelfId ?? [])
  const things = leadIds.length === 0 ? [] : await db.select().from(leadThings).innerJoin(leads, eq(leads.id, leadThings.leadId)).where(inArray(leadThings.leadId, leadIds))
  const owned = shelfIds.length === 0 ? [] : await db.select().from(shelf).where(inArray(shelf.id, shelfIds))
  return new Set([...rows.flatMap((row) => row.partId ?? []), ...things.map((row) => row.lead_things.partId), ...owned.map((row) => row.partId)])
}

function priceBrief(market: Market, partId: string, currency: string, today: string): PriceBrief {
  const part = market.library.find((each) => each.id === partId)!
  const reading = readStreetPrice(market, partId, today, currency)
  return { partId, name: partLabel(part), role: part.role, grade: reading.grade, kept: reading.kept.length, marks: reading.marks, newPrice: newPriceIn(market, partId, currency, today) }
}

/** One part's street price with every record behind it. */
export async function priceView(db: Database, buildId: string, partId: string, today: string): Promise<PriceView> {
  const build = await findBuild(db, buildId)
  const market = await useMarket(db)
  const part = market.library.find((each) => each.id === partId)
  if (!part) throw new NotFoundError(`there is no part "${partId}"`)
  const reading = readStreetPrice(market, partId, today, build.currency)
  const query = market.queries.get(partId)!
  const overrides = market.overrides.get(partId) ?? {}
  const kept = new Map(reading.kept.map((comp) => [comp.id, comp]))
  const dropped = new Map(reading.dropped.map((each) => [each.id, each]))
  const records: RecordView[] = []
  for (const record of market.index.candidates(query.must)) {
    const why = dropped.get(record.id)
    if (why?.reason === 'missing-word' && overrides[record.id] === undefined) continue
    const comp = kept.get(record.id)
    records.push({
      id: Number(record.id), title: record.title, source: record.source, soldOn: record.soldOn, manner: record.manner, condition: record.condition, price: record.price,
      shipping: record.shipping, currency: record.currency, quantity: record.quantity ?? null, unitPrice: comp?.unitPrice ?? null, weight: comp?.weight ?? null,
      reason: why?.reason ?? null, detail: why?.detail ?? '', decision: overrides[record.id] ?? null,
    })
  }
  records.sort((a, b) => (a.soldOn < b.soldOn ? 1 : a.soldOn > b.soldOn ? -1 : a.id - b.id))
  const patienceDays = build.wantedBy && build.wantedBy > today ? daysBetween(today, build.wantedBy) : defaultPatienceDays
  const [own] = await db.select({ query: parts.query }).from(parts).where(eq(parts.id, partId))
  const offer = market.newPrices.get(partId)
  const [source] = offer ? await db.select().from(sources).where(eq(sources.id, offer.sourceId)) : []
  return {
    ...priceBrief(market, partId, build.currency, today),
    part, currency: build.currency, asOf: today, query, queryIsOwn: own!.query !== null,
    interval: reading.interval, effectiveCount: reading.effectiveCount, trend: reading.trend, perDay: reading.perDay, byManner: reading.byManner,
    records, unrelated: market.index.records.length - records.length,
    newPriceFrom: offer && source ? { source: source.name, date: offer.date } : null,
    patience: patienceCurve(reading.flow, patienceDays), patienceDays,
    wishes: [0.5, 0.8, 0.9].map((probability) => ({ probability, days: patienceDays, price: payUpToPrice(reading.flow, probability, patienceDays) })),
  }
}

/** How many sold records there are; for the first page. */
export async function countSoldRecords(db: Database): Promise<number> {
  return db.$count(soldRecords)
}
