import { AfterCommit } from '#server/db/afterCommit'
import { buildRow, type BuildRow } from '#server/context/findBuild'
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
import type { Database, Queryable } from '#server/db/client'
import { reading, sameContent, sameMembers } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { NotFoundError } from '#server/errors/notFoundError'
import { asksOfLead } from '../leads/leadAsks'
import { readStreetPrice } from '#server/context/market'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { newPriceIn, newOffers } from '#server/context/newOffers'
import { readsOf, waitNotesFor } from './notes'

/** Horizon of the patience curve where the build has no date. */
const defaultPatienceDays = 30

/** Parts that have comps, an offer or a place in the build, each with its small price rule. */
export const pricesPage = reading(
  'prices page',
  (world, buildId: string, today: string): readonly PriceBrief[] => {
    const { currency } = buildRow(world, buildId)
    const chosen = chosenParts(world, buildId)
    return marketOf(world)
      .library.map(({ id }) => priceBriefOf(world, id, currency, today))
      .filter((brief) => brief.kept > 0 || brief.newPrice !== null || chosen.includes(brief.partId))
      .map((brief) => ({ ...brief, inBuild: chosen.includes(brief.partId) }))
  },
)

export async function priceBriefs(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<readonly PriceBrief[]> {
  return pricesPage(await useWorld(db), buildId, today)
}

const chosenParts = reading(
  'parts chosen',
  ({ rows }, buildId: string): readonly string[] => {
    const choices = rows.choices.where('buildId', buildId).filter(({ deletedAt }) => deletedAt === null)
    const owned = rows.items
      .where('buildId', buildId)
      .filter(({ place }) => place === 'ordered' || place === 'build')
    return [
      ...new Set([
        ...choices.flatMap(({ partId }) => partId ?? []),
        ...choices
          .flatMap(({ leadId }) => (leadId === null ? [] : rows.leadThings.where('leadId', leadId)))
          .map(({ partId }) => partId),
        ...owned.map(({ partId }) => partId),
      ]),
    ]
  },
  { same: sameMembers },
)

const priceBriefOf = reading(
  'price brief',
  (world, partId: string, currency: string, today: string) =>
    priceBrief(marketOf(world), partId, currency, today),
  { same: sameContent, most: 20_000 },
)

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
export const pricePage = reading(
  'price page',
  (world, buildId: string, partId: string, today: string): PriceView => {
    const build = buildRow(world, buildId)
    const market = marketOf(world)
    const part = market.library.find((each) => each.id === partId)
    if (!part) throw new NotFoundError('part', partId)
    const reading = readStreetPrice(market, partId, today, build.currency)
    // the comps of an open part are those of the part that stands for it
    const records = part.open ? [] : recordViews(market, partId, reading)
    const offers = newOffers(market, partId, build.currency, today)
    const reads = readsOf(world, partId, build.currency)
    const waitNotes = waitNotesFor(world, part)
    const standing = localListings(world, market, part, build, today)
    const lookout = world.rows.lookouts
      .where('buildId', buildId)
      .find((each) => each.partId === partId && each.deletedAt === null)
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
      queryIsOwn: world.rows.parts.one('id', partId)!.query !== null,
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
      ownFigure: ownFigure(world, market, partId, build.currency, today, reading),
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
      lookout: lookout ? { id: lookout.id, limit: lookout.limit } : null,
      rates: market.rates,
    }
  },
)

export async function priceView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  partId: string,
  today: string,
): Promise<PriceView> {
  return pricePage(await useWorld(db), buildId, partId, today)
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
function ownFigure(
  world: World,
  market: Market,
  partId: string,
  currency: string,
  today: string,
  reading: StreetPrice,
): PriceView['ownFigure'] {
  const own = world.rows.ownFigures.one('partId', partId)
  if (!own) return null
  const rate = rateTable(market.rates).find(today, own.currency, currency)
  if (rate === null) return null
  const amount =
    own.currency === currency ? own.amount : convertAmount(own.amount, own.currency, currency, rate)
  return { amount, note: own.note, setOn: own.setOn, standing: standingOf(amount, reading.flow.prices) }
}

/** Local listings of the part alone that a connector brought, and the builder's own local deals of it and its role. */
function localListings(world: World, market: Market, part: Part, build: BuildRow, today: string) {
  const { rows } = world
  const leadOf = (id: string | null) => (id === null ? undefined : rows.leads.one('id', id))
  const alone = rows.leadThings
    .where('partId', part.id)
    .flatMap(({ leadId }) => leadOf(leadId) ?? [])
    .filter(
      (lead) =>
        lead.manner === 'local' &&
        lead.connectorId !== null &&
        lead.deletedAt === null &&
        lead.condition !== 'damaged' &&
        rows.leadThings.where('leadId', lead.id).length === 1,
    )
  const paid = localDeals(world).flatMap((id) => leadOf(id) ?? [])
  const table = rateTable(market.rates)
  return {
    listings: alone.flatMap((lead) => {
      const rate = table.find(today, lead.currency, build.currency)
      if (rate === null) return []
      const inBuild = (amount: number) =>
        lead.currency === build.currency ? amount : convertAmount(amount, lead.currency, build.currency, rate)
      return [
        {
          id: lead.id,
          title: lead.title,
          firstAsk: inBuild(asksOfLead(world, lead.id)[0]?.ask ?? lead.price),
          lastAsk: inBuild(lead.price),
          listedOn: lead.listedOn,
          vanishedOn: lead.vanishedOn,
        },
      ]
    }),
    deals: paid.map((lead) => ({
      asked: asksOfLead(world, lead.id)[0]?.ask ?? lead.price,
      paid: lead.price,
    })),
  }
}

/** Leads that were paid and handed over. */
const localDeals = reading(
  'local deals',
  ({ rows }): readonly string[] =>
    rows.orderLines
      .all()
      .flatMap(({ leadId }) =>
        leadId !== null && rows.leads.one('id', leadId)?.manner === 'local' ? [leadId] : [],
      ),
  { same: sameMembers },
)

/** The same as the answer to a change; the part is there, or the change is refused. */
export async function priceAfter(
  db: Database,
  buildId: string,
  partId: string,
  today: string,
): Promise<AfterCommit<PriceView>> {
  if (!marketOf(await useWorld(db)).library.some(({ id }) => id === partId))
    throw new NotFoundError('part', partId)
  return new AfterCommit((after) => priceView(after, buildId, partId, today))
}
