import { and, eq, isNull } from 'drizzle-orm'
import { groupBy } from '#core/collections/groupBy'
import { checkFit } from '#core/machine/fit/checkFit'
import type { FitBrief } from '#core/machine/fit/finding'
import { waysToMend } from '#core/machine/fit/fixes'
import type { PricedPart } from '#core/machine/upgrades/baseMachines'
import { noRate, rateTable } from '#core/money/rates'
import { expandDonors } from '#core/parts/expandDonors'
import { indexOfPart } from '#core/parts/indexOfPart'
import { coreRoles, partLabel, roleNames, type Part, type Role } from '#core/parts/part'
import { pickupCost } from '#core/supply/landed/landedCost'
import { tradeInSheet } from '#core/supply/landed/tradeIn'
import { findSameListings, type SameListing } from '#core/supply/leads/sameListing'
import { nearestSubstitutes, type Candidate } from '#core/supply/leads/substitutes'
import { sumMarks } from '#core/supply/leads/sumMarks'
import { tooCheapBelow } from '#core/supply/risk/tooCheap'
import { choiceRowsOf } from '#server/context/choicesOf'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { houseRuleBreaches } from '#server/context/houseRuleBreaches'
import { readStreetPrice, streetAt, useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { pricedLibrary } from '#server/context/pricedLibrary'
import { keptParts, valuedLeads, type ValuedLead } from '#server/context/valuedLeads'
import { waitingDays } from '#server/context/waitingDays'
import type { Database } from '#server/db/client'
import { leadThings, leads, photos } from '#server/db/schema/leads'
import { orderLines, trips } from '#server/db/schema/ledger'
import type { LeadInboxView, LeadRebateView, LeadView } from '#shared/leads/views'
import { asksOf } from './leadAsks'

/** First ask where it has changed since. */
function firstAskOf(asks: readonly { readonly ask: number }[]): number | null {
  return asks.length > 1 ? asks[0]!.ask : null
}

/**
 * The ask under which a lead is a warning rather than a bargain; null with too few comps, and for a lot, which is
 * cheaper than its things by nature.
 */
export function warnBelow(
  market: Market,
  { lead }: Pick<ValuedLead, 'lead'>,
  today: string,
  currency: string,
): number | null {
  const [only, ...others] = lead.things
  return only && others.length === 0 && only.quantity === 1
    ? tooCheapBelow(readStreetPrice(market, only.partId, today, currency).kept, market.assumptions.pricing)
    : null
}

/** The inbox of a build; leads whose currency cannot be converted stand apart, with the reason. */
export async function leadViews(db: Database, buildId: string, today: string): Promise<LeadInboxView> {
  const build = await findBuild(db, buildId)
  const market = await useMarket(db)
  const table = rateTable(market.rates)
  const isConvertible = (row: { currency: string }) =>
    table.find(today, row.currency, build.currency) !== null
  const chosen = await choiceRowsOf(db, build)
  // a listing that is gone leaves the inbox, unless this build counts on it
  const everyRow = await db
    .select({
      id: leads.id,
      title: leads.title,
      currency: leads.currency,
      vanishedOn: leads.vanishedOn,
      state: leads.state,
    })
    .from(leads)
    .where(isNull(leads.deletedAt))
  const boughtHere = new Set(
    (
      await db
        .select({ leadId: orderLines.leadId })
        .from(orderLines)
        .where(eq(orderLines.buildId, build.variantOf ?? buildId))
    ).map((line) => line.leadId),
  )
  const rows = everyRow.filter(
    (row) =>
      (row.vanishedOn === null && row.state !== 'bought') ||
      boughtHere.has(row.id) ||
      chosen.some((choice) => choice.leadId === row.id),
  )
  const ids = rows.filter(isConvertible).map((row) => row.id)
  const [valued, asks, same, waits, tripRows, photoRows] = await Promise.all([
    valuedLeads(db, market, build, today, ids),
    asksOf(db, ids),
    sameListings(db),
    waitingDays(db, today),
    db
      .select()
      .from(trips)
      .where(and(eq(trips.buildId, buildId), isNull(trips.deletedAt), isNull(trips.drivenOn))),
    db.select().from(photos).where(isNull(photos.deletedAt)),
  ])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const titles = new Map(everyRow.map((row) => [row.id, row.title]))
  const photosOf = groupBy(photoRows, (row) => row.leadId)
  const standIn = substitutesFor(
    valued,
    chosen.flatMap((choice) => choice.leadId ?? []),
    library,
  )
  const lacking = lacksByParts(library, fitBriefOf(market, build, today), pricedLibrary(market, build, today))
  const { answerDays = market.assumptions.risk.answerDays, perKm = 0, perHour = 0 } = build.houseRules
  const views = valued.map((each): LeadView => {
    const { lead, sourceName, value } = each
    const repeated = same.get(lead.id)
    const waiting = waits.find((wait) => wait.leadId === lead.id)?.days ?? null
    return {
      id: lead.id,
      externalId: lead.externalId,
      title: lead.title,
      sourceId: lead.sourceId,
      sourceName,
      url: lead.url,
      place: lead.place,
      note: lead.note,
      condition: lead.condition,
      manner: lead.manner,
      listedOn: lead.listedOn,
      endsOn: lead.endsOn,
      state: lead.state,
      agreed: agreedOn(lead, today),
      vanishedOn: lead.vanishedOn,
      tieDeduced: lead.tieDeduced,
      firstAsk: firstAskOf(asks.get(lead.id) ?? []),
      currency: lead.currency,
      things: lead.things.map((thing, index) => {
        const part = library.get(thing.partId)!
        const share = value.split.things[index]!
        return {
          ...thing,
          name: partLabel(part),
          role: part.role,
          street: streetAt(market, part.id, today, build.currency, build.houseRules.patience),
          effectiveCost: share.effectiveCost?.amount ?? null,
          netResale: share.netResale.amount,
        }
      }),
      value,
      marks: sumMarks(
        lead.things
          .filter((thing) => thing.plan === 'keep')
          .map((thing) => ({
            marks: readStreetPrice(market, thing.partId, today, build.currency).marks,
            quantity: thing.quantity,
          })),
      ),
      choiceId: chosen.find((choice) => choice.leadId === lead.id && choice.voidBecause === null)?.id ?? null,
      breaches: houseRuleBreaches(build.houseRules, each, library),
      passReason: lead.passReason,
      facts: each.facts,
      signs: each.signs,
      protection: each.source.protection,
      tooCheapBelow: warnBelow(market, each, today, build.currency),
      same: repeated
        ? { ...repeated, earlierTitle: titles.get(repeated.earlierId) ?? repeated.earlierId }
        : null,
      askedOn: lead.askedOn,
      waiting,
      isSilent: waiting !== null && waiting >= answerDays,
      tripId: lead.tripId,
      substitutes: (standIn.get(lead.id) ?? []).map((substitute) => ({
        ...substitute,
        title: titles.get(substitute.id) ?? substitute.id,
      })),
      rebates: each.rebates.map((rebate) => rebateView(rebate, each, market, library, today, build)),
      lacks: lacking(keptParts(each, library)),
      photos: (photosOf.get(lead.id) ?? []).map(({ id, arrival }) => ({ id, arrival })),
    }
  })
  return {
    leads: views,
    trips: tripRows.map(({ id, name, km, fare, hours }) => ({
      id,
      name,
      km,
      fare,
      hours,
      cost: pickupCost({ km, perKm, fare, hours, perHour }),
      drivenOn: null,
    })),
    unvalued: rows
      .filter((row) => !isConvertible(row))
      .map(({ id, title, currency }) => ({
        id,
        title,
        reason: noRate(today, currency, build.currency),
        from: currency,
        to: build.currency,
      })),
  }
}

function agreedOn({ agreedAmount, agreedUntil }: ValuedLead['lead'], today: string): LeadView['agreed'] {
  return agreedAmount !== null && (agreedUntil === null || today <= agreedUntil)
    ? { amount: agreedAmount, until: agreedUntil }
    : null
}

function rebateView(
  rebate: ValuedLead['rebates'][number],
  { lead, beyond }: ValuedLead,
  market: Market,
  library: ReadonlyMap<string, Part>,
  today: string,
  build: BuildRow,
): LeadRebateView {
  const { id, kind, amount, claimBy, expectedBy, state, proof, tradedPartId } = rebate
  const traded = library.get(tradedPartId ?? '')
  const typical =
    traded && lead.currency === build.currency ? streetAt(market, traded.id, today, build.currency) : null
  const seller = [...market.sources.values()].find((source) => source.kind === 'auction')
  const tradeIn =
    traded && typical !== null
      ? {
          name: partLabel(traded),
          ...tradeInSheet(
            rebate,
            {
              typical,
              feePercent: seller?.sellerFeePercent ?? 0,
              shipping: seller?.currency === build.currency ? seller.shippingAmount : 0,
              perDay: readStreetPrice(market, traded.id, today, build.currency).perDay,
            },
            today,
          ),
        }
      : null
  return { id, kind, amount, claimBy, expectedBy, state, proof, isBeyond: beyond.has(id), tradeIn }
}

/** Listings that repeat an earlier one, by id; those that are gone count as forerunners. */
async function sameListings(db: Database): Promise<Map<string, SameListing>> {
  const [rows, things] = await Promise.all([
    db
      .select({
        id: leads.id,
        sourceId: leads.sourceId,
        title: leads.title,
        price: leads.price,
        currency: leads.currency,
        place: leads.place,
        listedOn: leads.listedOn,
        vanishedOn: leads.vanishedOn,
        condition: leads.condition,
      })
      .from(leads)
      .where(isNull(leads.deletedAt)),
    db.select().from(leadThings),
  ])
  const thingsOf = groupBy(things, (thing) => thing.leadId)
  // shops sell many of a kind: only used things are one of a kind
  const used = rows.filter((row) => row.condition !== 'new')
  return new Map(
    findSameListings(
      used.map((row) => ({
        ...row,
        things: (thingsOf.get(row.id) ?? [])
          .map((thing) => `${thing.partId}*${thing.quantity}`)
          .sort()
          .join(' '),
      })),
    ).map((each) => [each.id, each]),
  )
}

/** For each chosen lead that is gone, what can stand in for it in the machine as chosen. */
function substitutesFor(
  valued: readonly ValuedLead[],
  chosenIds: readonly string[],
  library: ReadonlyMap<string, Part>,
): Map<string, ReturnType<typeof nearestSubstitutes>> {
  const chosen = valued.filter((each) => chosenIds.includes(each.lead.id))
  const gone = chosen.filter((each) => each.lead.vanishedOn !== null)
  if (gone.length === 0) return new Map()
  const open = valued.filter(
    (each) =>
      each.lead.state === 'open' &&
      each.lead.vanishedOn === null &&
      !chosenIds.includes(each.lead.id) &&
      each.lead.condition !== 'damaged',
  )
  const stops = (parts: readonly Part[]) =>
    checkFit({ parts }).findings.filter((finding) => finding.severity === 'stops').length
  return new Map(
    gone.map((each) => {
      const others = chosen.filter((other) => other !== each).flatMap((other) => keptParts(other, library))
      const partsOf = (id: string) =>
        keptParts(
          valued.find((other) => other.lead.id === id)!,
          library,
        )
      return [
        each.lead.id,
        nearestSubstitutes(
          candidate(each, library),
          stops([...others, ...partsOf(each.lead.id)]),
          open.map((other) => candidate(other, library)),
          (id) => stops([...others, ...partsOf(id)]),
        ),
      ]
    }),
  )
}

/** What a donor lacks, asked once for all leads that keep the same parts. */
function lacksByParts(
  library: ReadonlyMap<string, Part>,
  brief: FitBrief,
  priced: readonly PricedPart[],
): (kept: readonly Part[]) => LeadView['lacks'] {
  const known = new Map<string, LeadView['lacks']>()
  return (kept) => {
    const key = kept.map((part) => part.id).join(' ')
    const lacks = known.get(key) ?? lacksOf(kept, library, brief, priced)
    known.set(key, lacks)
    return lacks
  }
}

/** What a donor lacks for the brief, with the cheapest that fills it. */
function lacksOf(
  kept: readonly Part[],
  library: ReadonlyMap<string, Part>,
  brief: FitBrief,
  priced: readonly PricedPart[],
): LeadView['lacks'] {
  if (!kept.some((part) => part.role === 'donor')) return []
  const machine = { parts: expandDonors(kept, library), brief }
  const roles = coreRoles.filter(
    (role) =>
      !machine.parts.some((part) => part.role === role) &&
      !(role === 'graphics' && machine.parts.some((part) => part.facts.integratedGraphics)),
  )
  const cheapest = (role: Role) =>
    priced
      .filter(({ part }) => part.role === role && part.facts.module !== 'laptop')
      .sort((a, b) => a.price - b.price)[0]?.price ?? null
  const findings = checkFit(machine).findings.filter(
    (finding) =>
      (finding.severity === 'stops' || finding.severity === 'needs') && finding.ruleId !== 'cpu-graphics',
  )
  return [
    ...roles.map((role) => ({ what: `a ${roleNames[role]}`, cost: cheapest(role) })),
    ...findings.map((finding) => {
      const costs = waysToMend(finding, machine, priced, []).flatMap((way) => way.cost ?? [])
      return { what: finding.what, cost: costs.length === 0 ? null : Math.min(...costs) }
    }),
  ]
}

function candidate(each: ValuedLead, library: ReadonlyMap<string, Part>): Candidate {
  const parts = keptParts(each, library)
  const figures = parts.map(indexOfPart)
  return {
    id: each.lead.id,
    roles: parts
      .map((part) => part.role)
      .sort()
      .join(' '),
    cost: each.value.expectedAfterResale,
    worth: figures.length === 1 ? figures[0]! : null,
  }
}
