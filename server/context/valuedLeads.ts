import { faultsOf } from '#server/context/faults'
import type { BuildRow } from '#server/context/findBuild'
import { and, eq, inArray, isNull } from 'drizzle-orm'
import { groupBy } from '#core/collections/groupBy'
import { valueLead, type LeadContext, type LeadValue } from '#core/supply/leads/valueLead'
import { openFacts } from '#core/reading/listings/openFacts'
import { readFacts, type Answer, type LeadFact } from '#core/reading/listings/completeness'
import type { LotPlan } from '#core/supply/lots/splitLot'
import { parseDecimal } from '#core/money/decimal'
import { convertAmount, convertBack, rateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import type { Code } from '#core/supply/landed/codes'
import { faultSigns, readSigns, type FaultSign } from '#core/supply/risk/faultRisk'
import { beyondHousehold } from '#core/supply/landed/householdLimits'
import { tripShares } from '#core/supply/orders/sharedTrip'
import type { Database } from '../db/client'
import { builds } from '../db/schema/builds'
import { choices } from '../db/schema/machine'
import { codes, leads, leadThings, rebates } from '../db/schema/leads'
import { sources } from '../db/schema/sources'
import { trips } from '../db/schema/ledger'
import { streetAt } from './market'
import type { Market } from './marketState'
import { termsOf } from './termsOf'

export type BuildToValue = Pick<BuildRow, 'id' | 'currency' | 'houseRules'>
export type LeadRow = typeof leads.$inferSelect & {
  things: { partId: string; quantity: number; plan: LotPlan }[]
}
export type SignShown = {
  readonly sign: FaultSign
  readonly quote: string
  readonly by: 'listing' | 'builder'
}

export interface ValuedLead {
  readonly lead: LeadRow
  readonly sourceName: string
  readonly source: typeof sources.$inferSelect
  readonly facts: readonly LeadFact[]
  readonly signs: readonly SignShown[]
  readonly rebates: readonly (typeof rebates.$inferSelect)[]
  /** Rebates that a household is not paid any more. */
  readonly beyond: ReadonlySet<string>
  readonly trip: typeof trips.$inferSelect | null
  readonly value: LeadValue
  /** What the value holds of the trip that fetches it, in the build's currency; the trip itself is paid apart. */
  readonly pickup: number
  /** The same lead at another price, in minor units of its currency. */
  revalue(price: number): LeadValue
  /** The same lead if these things were known of it. */
  answered(answers: Readonly<Record<string, Answer>>): ValuedLead
}

/**
 * The given leads, in any state, with what they cost and are worth to a build. Throws `no-rate` for a currency that
 * cannot be converted.
 */
export async function valuedLeads(
  db: Database,
  market: Market,
  build: BuildToValue,
  today: string,
  ids: readonly string[],
): Promise<ValuedLead[]> {
  if (ids.length === 0) return []
  const rows = await db
    .select({ lead: leads, source: sources })
    .from(leads)
    .innerJoin(sources, eq(sources.id, leads.sourceId))
    .where(inArray(leads.id, [...ids]))
  const [things, codeRows, rebateRows, tripRows, chosen] = await Promise.all([
    db.select().from(leadThings).orderBy(leadThings.leadId, leadThings.position),
    db.select().from(codes),
    db.select().from(rebates).where(isNull(rebates.lineId)),
    db
      .select()
      .from(trips)
      .where(and(eq(trips.buildId, build.id), isNull(trips.deletedAt), isNull(trips.drivenOn))),
    db
      .select({ leadId: choices.leadId, buildId: choices.buildId })
      .from(choices)
      .innerJoin(builds, eq(builds.id, choices.buildId))
      .where(
        and(
          isNull(choices.deletedAt),
          isNull(choices.voidBecause),
          isNull(builds.deletedAt),
          eq(choices.kind, 'lead'),
        ),
      ),
  ])
  const [thingsOf, codesOf, rebatesOf] = [
    groupBy(things, (each) => each.leadId),
    groupBy(codeRows, (each) => each.leadId),
    groupBy(rebateRows, (each) => each.leadId),
  ]
  const library = new Map(market.library.map((part) => [part.id, part]))
  const table = rateTable(market.rates)
  const context: LeadContext = {
    currency: build.currency,
    today,
    rates: table,
    assumptions: faultsOf(market, build, today),
    resale: market.assumptions.resale,
    streetOf: (partId) => streetAt(market, partId, today, build.currency, build.houseRules.patience),
  }
  const household = { chosen: new Set(chosen.map((row) => row.leadId)), rebateRows }
  const onTrip = await chosenOnTrips(
    db,
    build.id,
    tripRows.map((trip) => trip.id),
  )
  const inBuild = (amount: number, from: string) =>
    from === build.currency
      ? amount
      : convertAmount(amount, from, build.currency, table.rateOn(today, from, build.currency))
  return rows.map(({ lead: written, source }) => {
    const lead = { ...written, price: askOf(written, today) }
    const own = thingsOf.get(lead.id) ?? []
    const said = [lead.title, lead.note, lead.text].join('\n')
    const signs = signsOf(lead, said)
    const beyond = beyondFor(lead.id, household)
    const trip = tripRows.find((each) => each.id === lead.tripId) ?? null
    const pickup =
      trip &&
      pickupShare(
        lead,
        trip,
        onTrip.get(trip.id) ?? [],
        build,
        table.rateOn(today, lead.currency, build.currency),
      )
    const roles = [...new Set(own.map((thing) => library.get(thing.partId)!.role))]
    const valued = (answers: Readonly<Record<string, Answer>>): ValuedLead => {
      const facts = [
        ...readFacts(roles, said, answers, lead.condition === 'new'),
        ...openFacts(
          own.map((thing) => library.get(thing.partId)!),
          answers,
        ),
      ]
      const revalue = (price: number) =>
        valueLead(
          {
            ...lead,
            price,
            terms: termsOf(source, lead.currency !== build.currency),
            protection: source.protection,
            things: own.map((thing) => ({ ...thing, role: library.get(thing.partId)!.role })),
            codes: [
              ...(codesOf.get(lead.id) ?? []).filter((code) => isInForce(code, today)).map(toCode),
              ...codesOfSource(source, lead.currency, today),
            ],
            ...(lead.tillCredit === null
              ? {}
              : { credit: { amount: lead.tillCredit, lowersTax: source.creditLowersTax } }),
            // what a household is not paid any more counts like a refused one
            rebates: (rebatesOf.get(lead.id) ?? []).map((rebate) =>
              beyond.has(rebate.id) ? { ...rebate, state: 'refused' as const } : rebate,
            ),
            facts,
            signs: signs.map(({ sign }) => sign),
            ...(pickup === null ? {} : { pickup }),
          },
          context,
        )
      return {
        lead: { ...lead, things: own },
        sourceName: source.name,
        source,
        facts,
        signs,
        rebates: rebatesOf.get(lead.id) ?? [],
        beyond,
        trip,
        value: revalue(lead.price),
        pickup: pickup === null ? 0 : inBuild(pickup, lead.currency),
        revalue,
        answered: (more) => valued({ ...answers, ...more }),
      }
    }
    return valued(lead.answers)
  })
}

/** What is to be paid for a lead: what was agreed with its seller, as long as that holds, else what is asked. */
export function askOf(
  {
    price,
    agreedAmount,
    agreedUntil,
  }: Pick<typeof leads.$inferSelect, 'price' | 'agreedAmount' | 'agreedUntil'>,
  today: string,
): number {
  return agreedAmount !== null && (agreedUntil === null || today <= agreedUntil) ? agreedAmount : price
}

/** A code counts from its first day on, and one that works once not after it was used. */
function isInForce(
  { validFrom, once, usedOn }: Pick<typeof codes.$inferSelect, 'validFrom' | 'once' | 'usedOn'>,
  today: string,
): boolean {
  return (validFrom === null || validFrom <= today) && !(once && usedOn !== null)
}

function toCode(code: typeof codes.$inferSelect): Code {
  return {
    id: code.word,
    kind: code.kind,
    value: code.value,
    scope: {
      ...(code.onlyThis ? { itemId: code.leadId } : {}),
      ...(code.role === null ? {} : { role: code.role }),
    },
    stackable: code.stackable,
    ...(code.minSpend === null ? {} : { minSpend: code.minSpend }),
    ...(code.validUntil === null ? {} : { validUntil: code.validUntil }),
    ...(code.cap === null ? {} : { cap: code.cap }),
  }
}

/** The codes in force for all that a source sells, which it takes in its own currency. */
export function codesOfSource(
  { codes: own, currency }: Pick<typeof sources.$inferSelect, 'codes' | 'currency'>,
  orderCurrency: string,
  today: string,
  only: 'public' | 'all' = 'all',
): Code[] {
  if (orderCurrency !== currency) return []
  const amount = (text: string) => parseDecimal(text, currency)
  return own
    .filter((code) => isInForce(code, today) && (only === 'all' || code.isPublic))
    .map((code) => ({
      id: code.word,
      kind: code.kind,
      value: code.kind === 'percent' ? Number(code.value) : amount(code.value),
      scope: code.role === null ? {} : { role: code.role },
      stackable: code.stackable,
      ...(code.minSpend === null ? {} : { minSpend: amount(code.minSpend) }),
      ...(code.validUntil === null ? {} : { validUntil: code.validUntil }),
      ...(code.cap === null ? {} : { cap: amount(code.cap) }),
    }))
}

/** Signs of risk: those its words show, unless the builder says otherwise, and those the builder has added. */
function signsOf(lead: typeof leads.$inferSelect, said: string): SignShown[] {
  const read = new Map(readSigns(said).map(({ sign, quote }) => [sign, quote]))
  return faultSigns.flatMap((sign): SignShown[] => {
    const own = lead.signs[sign]
    if (own === false || (own === undefined && !read.has(sign))) return []
    return [{ sign, quote: own ? '' : read.get(sign)!, by: own ? 'builder' : 'listing' }]
  })
}

interface Household {
  readonly chosen: ReadonlySet<string | null>
  readonly rebateRows: readonly (typeof rebates.$inferSelect)[]
}

/** Rebates of this lead that the household would not be paid, with what is chosen in any build standing before it. */
function beyondFor(leadId: string, { chosen, rebateRows }: Household): ReadonlySet<string> {
  if (!rebateRows.some((rebate) => rebate.leadId === leadId && rebate.campaign !== '')) return new Set()
  const standing = rebateRows.filter((rebate) => rebate.leadId === leadId || chosen.has(rebate.leadId))
  // a lead that is only looked at comes after those that are chosen
  return beyondHousehold(
    standing.map((rebate) =>
      rebate.leadId === leadId && !chosen.has(leadId) ? { ...rebate, claimBy: '9999-12-31' } : rebate,
    ),
  )
}

async function chosenOnTrips(
  db: Database,
  buildId: string,
  tripIds: readonly string[],
): Promise<Map<string, string[]>> {
  if (tripIds.length === 0) return new Map()
  const rows = await db
    .select({ leadId: leads.id, tripId: leads.tripId })
    .from(leads)
    .innerJoin(choices, eq(choices.leadId, leads.id))
    .where(
      and(
        eq(choices.buildId, buildId),
        isNull(choices.deletedAt),
        isNull(choices.voidBecause),
        inArray(leads.tripId, [...tripIds]),
      ),
    )
    .orderBy(leads.id)
  return new Map(
    [...groupBy(rows, (row) => row.tripId!)].map(([tripId, list]) => [
      tripId,
      [...new Set(list.map((row) => row.leadId))],
    ]),
  )
}

/** What a lead bears of its trip, in its own currency: an equal share with what else is chosen on it. */
function pickupShare(
  lead: { id: string; currency: string },
  trip: typeof trips.$inferSelect,
  chosen: readonly string[],
  build: BuildToValue,
  rate: string | number,
): number {
  const stops = [...new Set([...chosen, lead.id])].sort()
  const { perKm = 0, perHour = 0 } = build.houseRules
  const share = tripShares({ km: trip.km, perKm, fare: trip.fare, hours: trip.hours, perHour }, stops.length)[
    stops.indexOf(lead.id)
  ]!
  return lead.currency === build.currency ? share : convertBack(share, lead.currency, build.currency, rate)
}

/** What a lead keeps, as its parts; one entry a piece. */
export function keptParts({ lead }: ValuedLead, library: ReadonlyMap<string, Part>): Part[] {
  return lead.things
    .filter((thing) => thing.plan === 'keep')
    .flatMap((thing) => Array.from({ length: thing.quantity }, () => library.get(thing.partId)!))
}
