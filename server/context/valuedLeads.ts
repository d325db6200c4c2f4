import { rootIdOf } from './findBuild'
import { faultsOf } from '#server/context/faults'
import type { BuildRow } from '#server/context/findBuild'
import { valueLead, type LeadContext, type LeadValue } from '#core/supply/leads/valueLead'
import { openFacts } from '#core/reading/listings/openFacts'
import { readFacts, type Answer, type LeadFact } from '#core/reading/listings/completeness'
import type { LotPlan } from '#core/supply/lots/splitLot'
import { parseDecimal } from '#core/money/decimal'
import { convertAmount, convertBack, rateTable, type RateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import type { Code } from '#core/supply/landed/codes'
import { faultSigns, readSigns, type FaultSign } from '#core/supply/risk/faultRisk'
import { beyondHousehold } from '#core/supply/landed/householdLimits'
import { tripShares } from '#core/supply/orders/sharedTrip'
import type { Queryable } from '../db/client'
import type { codes, leads, rebates } from '../db/schema/leads'
import type { trips } from '../db/schema/ledger'
import type { sources } from '../db/schema/sources'
import { reading, sameMembers } from '../readings/reading'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'
import { streetAt } from './market'
import { marketOf, part } from './marketReadings'
import { termsOf } from './termsOf'

export type BuildToValue = Pick<BuildRow, 'id' | 'currency' | 'houseRules'>
export type LeadRow = typeof leads.$inferSelect & {
  things: readonly { partId: string; quantity: number; plan: LotPlan }[]
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

/** What leads are valued by: the same for every lead that a build looks at. */
const leadContext = reading(
  'terms of leads',
  (world, terms: string, today: string): LeadContext & { readonly rates: RateTable } => {
    const market = marketOf(world)
    const build = JSON.parse(terms) as BuildToValue
    return {
      currency: build.currency,
      today,
      rates: rateTable(market.rates),
      assumptions: faultsOf(market, build, today),
      resale: market.assumptions.resale,
      streetOf: (partId) => streetAt(market, partId, today, build.currency, build.houseRules.patience),
    }
  },
)

/** A lead with what it costs and is worth to a build. Throws `no-rate` for a currency that cannot be converted. */
const valuedLead = reading(
  'valued lead',
  (world, terms: string, leadId: string, today: string): ValuedLead => {
    const build = JSON.parse(terms) as BuildToValue
    const context = leadContext(world, terms, today)
    const { rows } = world
    const written = rows.leads.one('id', leadId)!
    const source = rows.sources.one('id', written.sourceId)!
    const lead = { ...written, price: askOf(written, today) }
    const own = rows.leadThings.where('leadId', leadId).toSorted((a, b) => a.position - b.position)
    const partOf = (partId: string) => part(world, partId)!
    const said = [lead.title, lead.note, lead.text].join('\n')
    const signs = signsOf(lead, said)
    const ownRebates = rows.rebates.where('leadId', leadId).filter(({ lineId }) => lineId === null)
    const ownCodes = rows.codes.where('leadId', leadId)
    const beyond = ownRebates.some(({ campaign }) => campaign !== '')
      ? beyondFor(leadId, world)
      : new Set<string>()
    const trip = tripOf(world, lead, build.id)
    const rate = (from: string) => context.rates.rateOn(today, from, build.currency)
    const pickup =
      trip && pickupShare(lead, trip, chosenOnTrip(world, trip.id, build.id), build, rate(lead.currency))
    const inBuild = (amount: number, from: string) =>
      from === build.currency ? amount : convertAmount(amount, from, build.currency, rate(from))
    // what a source charges is in its own currency, whatever a lead is asked in
    const inOrder = (amount: number) =>
      amount === 0 || source.currency === lead.currency
        ? amount
        : convertAmount(
            amount,
            source.currency,
            lead.currency,
            context.rates.rateOn(today, source.currency, lead.currency),
          )
    const roles = [...new Set(own.map((thing) => partOf(thing.partId).role))]
    const valued = (answers: Readonly<Record<string, Answer>>): ValuedLead => {
      const facts = [
        ...readFacts(roles, said, answers, lead.condition === 'new'),
        ...openFacts(
          own.map((thing) => partOf(thing.partId)),
          answers,
        ),
      ]
      const revalue = (price: number) =>
        valueLead(
          {
            ...lead,
            price,
            terms: termsOf(source, lead.currency !== build.currency, inOrder),
            protection: source.protection,
            things: own.map((thing) => ({ ...thing, role: partOf(thing.partId).role })),
            codes: [
              ...ownCodes.filter((code) => isInForce(code, today)).map(toCode),
              ...codesOfSource(source, lead.currency, today),
            ],
            ...(lead.tillCredit === null
              ? {}
              : { credit: { amount: lead.tillCredit, lowersTax: source.creditLowersTax } }),
            // what a household is not paid any more counts like a refused one
            rebates: ownRebates.map((rebate) =>
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
        rebates: ownRebates,
        beyond,
        trip,
        value: revalue(lead.price),
        pickup: pickup === null ? 0 : inBuild(pickup, lead.currency),
        revalue,
        answered: (more) => valued({ ...answers, ...more }),
      }
    }
    return valued(lead.answers)
  },
  { most: 20_000 },
)

/** The given leads, in any state, with what they cost and are worth to a build; see `valuedLead`. */
export function leadsValued(
  world: World,
  { id, currency, houseRules }: BuildToValue,
  today: string,
  ids: readonly string[],
): ValuedLead[] {
  const terms = JSON.stringify({ id, currency, houseRules })
  return [...new Set(ids)]
    .flatMap((each) => world.rows.leads.one('id', each) ?? [])
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .map((lead) => asOf(passedBy(world, id), valuedLead(world, terms, lead.id, today)))
}

/** Leads that a build, or the one it is a variant of, passes on, with the reason. */
export function passedBy(world: World, buildId: string): Readonly<Record<string, string>> {
  const build = world.rows.builds.one('id', buildId)
  if (!build) return {}
  return world.rows.builds.one('id', rootIdOf(world, build))?.passed ?? {}
}

/** A lead that is open to others may be passed on here. */
function asOf(passed: Readonly<Record<string, string>>, valued: ValuedLead): ValuedLead {
  const reason = passed[valued.lead.id]
  const { state } = valued.lead
  if (reason === undefined || (state !== 'open' && state !== 'passed')) return valued
  return { ...valued, lead: { ...valued.lead, state: 'passed', passReason: reason } }
}

export async function valuedLeads(
  db: Pick<Queryable, 'select'>,
  build: BuildToValue,
  today: string,
  ids: readonly string[],
): Promise<ValuedLead[]> {
  return ids.length === 0 ? [] : leadsValued(await useWorld(db), build, today, ids)
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

/** Leads that stand chosen in any build. */
const chosenAnywhere = reading(
  'chosen leads',
  (world): readonly string[] => {
    const { builds, choices } = world.rows
    return choices
      .where('kind', 'lead')
      .flatMap(({ leadId, buildId, deletedAt, voidBecause }) =>
        leadId !== null &&
        deletedAt === null &&
        voidBecause === null &&
        builds.one('id', buildId)?.deletedAt === null
          ? [leadId]
          : [],
      )
  },
  { same: sameMembers },
)

/** Rebates of this lead that the household would not be paid, with what is chosen in any build standing before it. */
function beyondFor(leadId: string, world: World): ReadonlySet<string> {
  const chosen = new Set(chosenAnywhere(world))
  const standing = world.rows.rebates
    .where('lineId', null)
    .filter((rebate) => rebate.leadId === leadId || chosen.has(rebate.leadId!))
  // a lead that is only looked at comes after those that are chosen
  return beyondHousehold(
    standing.map((rebate) =>
      rebate.leadId === leadId && !chosen.has(leadId) ? { ...rebate, claimBy: '9999-12-31' } : rebate,
    ),
  )
}

/** The trip of a build that is still to fetch a lead. */
function tripOf(world: World, { tripId }: Pick<typeof leads.$inferSelect, 'tripId'>, buildId: string) {
  const trip = tripId === null ? undefined : world.rows.trips.one('id', tripId)
  const isAhead = trip?.buildId === buildId && trip.deletedAt === null && trip.drivenOn === null
  return isAhead ? trip : null
}

/** What a build has chosen that is fetched on a trip. */
function chosenOnTrip(world: World, tripId: string, buildId: string): string[] {
  return world.rows.leads
    .where('tripId', tripId)
    .filter(({ id }) =>
      world.rows.choices
        .where('leadId', id)
        .some((row) => row.buildId === buildId && row.deletedAt === null && row.voidBecause === null),
    )
    .map(({ id }) => id)
    .sort()
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
export function keptParts({ lead }: ValuedLead, library: Pick<ReadonlyMap<string, Part>, 'get'>): Part[] {
  return lead.things
    .filter((thing) => thing.plan === 'keep')
    .flatMap((thing) => Array.from({ length: thing.quantity }, () => library.get(thing.partId)!))
}
