import { AfterCommit } from '#server/db/afterCommit'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { and, eq, inArray, isNotNull, isNull } from 'drizzle-orm'
import { buyOrWait } from '#core/pricing/shops/buyOrWait'
import { lastAsks, paidToAsked } from '#core/pricing/street/lastAsks'
import { localAgainstOnline } from '#core/pricing/street/localAgainstOnline'
import { faultsOf } from '#server/context/faults'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { standingOf } from '#core/pricing/street/ownFigure'
import { payUpToPrice } from '#core/pricing/patience/patience'
import { patienceCurve } from '#core/pricing/patience/patienceCurve'
import { changeSince } from '#core/pricing/street/readHistory'
import type { StreetPrice } from '#core/pricing/street/streetPrice'
import { waysToLoosen } from '#core/pricing/sieve/waysToLoosen'
import { convertAmount, rateTable } from '#core/money/rates'
import { partLabel, type Part } from '#core/parts/part'
import { daysBetween } from '#core/time/calendarDate'
import type { PriceBrief, PriceView, RecordView } from '#shared/prices/views'
import type { Database } from '#server/db/client'
import { choices } from '#server/db/schema/machine'
import { leads, leadThings } from '#server/db/schema/leads'
import { lookouts, ownFigures } from '#server/db/schema/prices'
import { parts } from '#server/db/schema/parts'
import { items, orderLines } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'
import { asksOf } from '../leads/leadAsks'
import { readStreetPrice, useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { newPriceIn, newOffers } from '#server/context/newOffers'
import { readsOf, waitNotesFor } from './notes'

/** Horizon of the patience curve where the build has no date. */
const defaultPatienceDays = 30

/** Parts that have comps, an offer or a place in the build, each with its small price rule. */
export async function priceBriefs(db: Database, buildId: string, today: string): Promise<PriceBrief[]> {
  const build = await findBuild(db, buildId)
  const [market, chosen] = await Promise.all([useMarket(db), chosenParts(db, buildId)])
  const briefs = market.library.map((part) => priceBrief(market, part.id, build.currency, today))
  return briefs
    .filter((brief) => brief.kept > 0 || brief.newPrice !== null || chosen.has(brief.partId))
    .map((brief) => ({ ...brief, inBuild: chosen.has(brief.partId) }))
}

async function chosenParts(db: Database, buildId: string): Promise<Set<string>> {
  const rows = await db
    .select()
    .from(choices)
    .where(and(eq(choices.buildId, buildId), isNull(choices.deletedAt)))
  const leadIds = rows.flatMap((row) => row.leadId ?? [])
  const things =
    leadIds.length === 0
      ? []
      : await db
          .select()
          .from(leadThings)
          .innerJoin(leads, eq(leads.id, leadThings.leadId))
          .where(inArray(leadThings.leadId, leadIds))
  const owned = await db
    .select({ partId: items.partId })
    .from(items)
    .where(and(eq(items.buildId, buildId), inArray(items.place, ['ordered', 'build'])))
  return new Set([
    ...rows.flatMap((row) => row.partId ?? []),
    ...things.map((row) => row.lead_things.partId),
    ...owned.map((row) => row.partId),
  ])
}

function priceBrief(market: Market, partId: string, currency: string, today: string): PriceBrief {
  const part = market.library.find((each) => each.id === partId)!
  const reading = readStreetPrice(market, partId, today, currency)
  return {
    partId,
    name: partLabel(part),
    role: part.role,
    grade: reading.grade,
    kept: reading.kept.length,
    marks: reading.marks,
    newPrice: newPriceIn(market, partId, currency, today),
    ...(part.open ? { standsFor: standInOf(market, reading.standsFor) } : {}),
  }
}

function standInOf({ library }: Market, id: string | undefined): PriceBrief['standsFor'] {
  const part = library.find((each) => each.id === id)
  return part ? { partId: part.id, name: partLabel(part) } : null
}

/** One part's street price with every record behind it, what is known of its future, and what the builder wrote down. */
export async function priceView(
  db: Database,
  buildId: string,
  partId: string,
  today: string,
): Promise<PriceView> {
  const build = await findBuild(db, buildId)
  const market = await useMarket(db)
  const part = market.library.find((each) => each.id === partId)
  if (!part) throw new NotFoundError('part', partId)
  const reading = readStreetPrice(market, partId, today, build.currency)
  // the comps of an open part are those of the part that stands for it
  const records = part.open ? [] : recordViews(market, partId, reading)
  const [own] = await db.select({ query: parts.query }).from(parts).where(eq(parts.id, partId))
  const offers = newOffers(market, partId, build.currency, today)
  const [reads, waitNotes, figure, standing] = await Promise.all([
    readsOf(db, partId, build.currency),
    waitNotesFor(db, part),
    ownFigure(db, market, partId, build.currency, today, reading),
    localListings(db, market, part, build, today),
  ])
  const [lookout] = await db
    .select({ id: lookouts.id, limit: lookouts.limit })
    .from(lookouts)
    .where(and(eq(lookouts.buildId, buildId), eq(lookouts.partId, partId), isNull(lookouts.deletedAt)))
  const patienceDays =
    build.wantedBy && build.wantedBy > today ? daysBetween(today, build.wantedBy) : defaultPatienceDays
  const patienceMark = build.houseRules.patience ?? 'typical'
  const street = reading.marks?.[patienceMark] ?? null
  const { pricing } = market.assumptions
  const ahead = { today, wantedBy: build.wantedBy, notes: waitNotes }
  return {
    ...priceBrief(market, partId, build.currency, today),
    part,
    currency: build.currency,
    asOf: today,
    query: market.queries.get(partId)!,
    queryIsOwn: own!.query !== null,
    interval: reading.interval,
    effectiveCount: reading.effectiveCount,
    trend: reading.trend,
    perDay: reading.perDay,
    byManner: reading.byManner,
    records,
    unrelated: market.index.records.length - records.length,
    newPriceFrom: offers[0] ? { source: offers[0].sourceName, date: offers[0].date } : null,
    patience: patienceCurve(reading.flow, patienceDays),
    patienceDays,
    wishes: [0.5, 0.8, 0.9].map((probability) => ({
      probability,
      days: patienceDays,
      price: payUpToPrice(reading.flow, probability, patienceDays),
    })),
    gap: localAgainstOnline(
      records.flatMap((record) =>
        record.unitPrice === null
          ? []
          : [{ manner: record.manner, unitPrice: record.unitPrice, weight: record.weight! }],
      ),
    ),
    loosen:
      reading.grade === 'thin' || reading.grade === 'none'
        ? loosened(market, partId, build.currency, today, reading.kept.length)
        : [],
    reads,
    change: reading.marks ? changeSince(reads, { on: today, typical: reading.marks.typical }) : null,
    ownFigure: figure,
    offers,
    patienceMark,
    newOrUsed: newOrUsed({
      assumptions: faultsOf(market, build, today),
      role: part.role,
      street,
      fresh: offers[0]?.landed ?? null,
      usedForbidden: build.houseRules.neverUsed.includes(part.role),
    }),
    usedLater:
      street === null
        ? null
        : buyOrWait({ ...ahead, price: street, kind: 'used', trend: reading.trend, rhythm: null }, pricing),
    newLater: offers[0]
      ? buyOrWait(
          { ...ahead, price: offers[0].price, kind: 'new', trend: null, rhythm: offers[0].rhythm },
          pricing,
        )
      : null,
    lastAsks: lastAsks(standing.listings),
    paidToAsked: paidToAsked(standing.deals),
    waitNotes,
    lookout: lookout ?? null,
    rates: market.rates,
  }
}

function recordViews(market: Market, partId: string, reading: StreetPrice): RecordView[] {
  const overrides = market.overrides.get(partId) ?? {}
  const kept = new Map(reading.kept.map((comp) => [comp.id, comp]))
  const dropped = new Map(reading.dropped.map((each) => [each.id, each]))
  const records: RecordView[] = []
  for (const record of market.index.candidates(market.queries.get(partId)!.must)) {
    const why = dropped.get(record.id)
    if (why?.reason === 'missing-word' && overrides[record.id] === undefined) continue
    const comp = kept.get(record.id)
    records.push({
      ...record,
      id: Number(record.id),
      unitPrice: comp?.unitPrice ?? null,
      weight: comp?.weight ?? null,
      reason: why?.reason ?? null,
      detail: why?.detail ?? '',
      decision: overrides[record.id] ?? null,
    })
  }
  return records.sort((a, b) => (a.soldOn < b.soldOn ? 1 : a.soldOn > b.soldOn ? -1 : a.id - b.id))
}

function loosened(market: Market, partId: string, currency: string, today: string, kept: number) {
  const query = market.queries.get(partId)!
  return waysToLoosen({ ...query, asOf: today, currency }, market.index.candidates(query.must), kept, {
    rates: market.rates,
    overrides: market.overrides.get(partId) ?? {},
  })
}

/** The builder's own figure, in the build's currency, against the comps; null where there is none or no rate. */
async function ownFigure(
  db: Database,
  market: Market,
  partId: string,
  currency: string,
  today: string,
  reading: StreetPrice,
): Promise<PriceView['ownFigure']> {
  const [own] = await db.select().from(ownFigures).where(eq(ownFigures.partId, partId))
  if (!own) return null
  const rate = rateTable(market.rates).find(today, own.currency, currency)
  if (rate === null) return null
  const amount =
    own.currency === currency ? own.amount : convertAmount(own.amount, own.currency, currency, rate)
  return { amount, note: own.note, setOn: own.setOn, standing: standingOf(amount, reading.flow.prices) }
}

/** Local listings of the part alone that a connector brought, and the builder's own local deals of it and its role. */
async function localListings(db: Database, market: Market, part: Part, build: BuildRow, today: string) {
  const tied = await db
    .select({ lead: leads })
    .from(leads)
    .innerJoin(leadThings, eq(leadThings.leadId, leads.id))
    .where(
      and(
        eq(leadThings.partId, part.id),
        eq(leads.manner, 'local'),
        isNotNull(leads.connectorId),
        isNull(leads.deletedAt),
      ),
    )
  const things =
    tied.length === 0
      ? []
      : await db
          .select()
          .from(leadThings)
          .where(
            inArray(
              leadThings.leadId,
              tied.map(({ lead }) => lead.id),
            ),
          )
  const alone = tied.filter(
    ({ lead }) =>
      lead.condition !== 'damaged' && things.filter((thing) => thing.leadId === lead.id).length === 1,
  )
  const paid = await db
    .select({ lead: leads })
    .from(orderLines)
    .innerJoin(leads, eq(leads.id, orderLines.leadId))
    .where(eq(leads.manner, 'local'))
  const asks = await asksOf(
    db,
    [...alone, ...paid].map(({ lead }) => lead.id),
  )
  const table = rateTable(market.rates)
  return {
    listings: alone.flatMap(({ lead }) => {
      const rate = table.find(today, lead.currency, build.currency)
      if (rate === null) return []
      const inBuild = (amount: number) =>
        lead.currency === build.currency ? amount : convertAmount(amount, lead.currency, build.currency, rate)
      return [
        {
          id: lead.id,
          title: lead.title,
          firstAsk: inBuild(asks.get(lead.id)?.[0]?.ask ?? lead.price),
          lastAsk: inBuild(lead.price),
          listedOn: lead.listedOn,
          vanishedOn: lead.vanishedOn,
        },
      ]
    }),
    deals: paid.map(({ lead }) => ({ asked: asks.get(lead.id)?.[0]?.ask ?? lead.price, paid: lead.price })),
  }
}

/** The same as the answer to a change; the part is there, or the change is refused. */
export async function priceAfter(
  db: Database,
  buildId: string,
  partId: string,
  today: string,
): Promise<AfterCommit<PriceView>> {
  if (!(await useMarket(db)).library.some(({ id }) => id === partId)) throw new NotFoundError('part', partId)
  return new AfterCommit((after) => priceView(after, buildId, partId, today))
}
