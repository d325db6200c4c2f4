import { checkFit } from '#core/machine/fit/checkFit'
import type { FitBrief, FitMachine } from '#core/machine/fit/finding'
import { waysToMend } from '#core/machine/fit/fixes'
import type { PricedPart } from '#core/machine/upgrades/pricedPart'
import { noRate } from '#core/money/rates'
import { expandDonors } from '#core/parts/expandDonors'
import { indexOfPart } from '#core/parts/indexOfPart'
import { coreRoles, partLabel, roleNames, type Part } from '#core/parts/part'
import { pickupCost } from '#core/supply/landed/landedCost'
import { tradeInSheet } from '#core/supply/landed/tradeIn'
import { findSameListings, type SameListing } from '#core/supply/leads/sameListing'
import { nearestSubstitutes, type Candidate } from '#core/supply/leads/substitutes'
import { sumMarks } from '#core/supply/leads/sumMarks'
import { tooCheapBelow } from '#core/supply/risk/tooCheap'
import { choicesOf } from '#server/context/choicesOf'
import { buildRow, type BuildRow } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { houseRuleBreaches } from '#server/context/houseRuleBreaches'
import { readStreetPrice, streetAt } from '#server/context/market'
import { marketOf, part } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { partsAtTheirWays, suggested } from '#server/context/waysToGet'
import { drawLevel } from '#core/machine/upgrades/drawLevel'
import { keptParts, leadsValued, type ValuedLead } from '#server/context/valuedLeads'
import { waitingOf } from '#server/context/waitingDays'
import type { Queryable } from '#server/db/client'
import { reading, sameContent, sameMembers } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { NotFoundError } from '#server/errors/notFoundError'
import { wholeInbox, type InboxQuery, type LeadTitle } from '#shared/leads/inbox'
import type { LeadInboxView, LeadRebateView, LeadView } from '#shared/leads/views'
import { chosenAs, inboxCounts, inboxOrder, inInbox, isConvertible, valuedInInbox } from './inboxRows'
import { asksOfLead } from './leadAsks'

type Library = Pick<ReadonlyMap<string, Part>, 'get'>

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

/** The inbox of a build: the rows that are asked for; leads whose currency cannot be converted stand apart, with the reason. */
export async function leadViews(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
  asked?: InboxQuery,
): Promise<LeadInboxView> {
  return leadsPage(await useWorld(db), buildId, today, asked)
}

/** One lead as that inbox shows it; a lead of another build's alone, or none, is refused. */
export async function openLead(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  leadId: string,
  today: string,
): Promise<LeadView> {
  const world = await useWorld(db)
  if (!valuedInInbox(world, buildId, today).includes(leadId)) throw new NotFoundError('lead', leadId)
  return leadView(world, buildId, leadId, today)
}

/** Every lead of an inbox by its title. */
export async function leadTitles(
  db: Pick<Queryable, 'select'>,
  buildId: string,
): Promise<readonly LeadTitle[]> {
  const world = await useWorld(db)
  return inInbox(world, buildId).map((id) => ({ id, title: world.rows.leads.one('id', id)!.title }))
}

export const leadsPage = (
  world: World,
  buildId: string,
  today: string,
  { show, role, order, count }: InboxQuery = wholeInbox,
): LeadInboxView => inbox(world, buildId, today, show, role, order, count)

const inbox = reading(
  'leads page',
  (
    world,
    buildId: string,
    today: string,
    show: string,
    role: string,
    order: string,
    count: number | null,
  ): LeadInboxView => {
    const build = buildRow(world, buildId)
    const shown = inboxOrder(world, buildId, today, show, role, order)
    const { perKm = 0, perHour = 0 } = build.houseRules
    return {
      leads: shown.slice(0, count ?? undefined).map((id) => leadView(world, buildId, id, today)),
      total: shown.length,
      counts: inboxCounts(world, buildId, today),
      trips: world.rows.trips
        .where('buildId', buildId)
        .filter(({ deletedAt, drivenOn }) => deletedAt === null && drivenOn === null)
        .map(({ id, name, km, fare, hours }) => ({
          id,
          name,
          km,
          fare,
          hours,
          cost: pickupCost({ km, perKm, fare, hours, perHour }),
          drivenOn: null,
        })),
      unvalued: inInbox(world, buildId)
        .filter((id) => !isConvertible(world, build, id, today))
        .map((id) => {
          const { title, currency } = world.rows.leads.one('id', id)!
          return {
            id,
            title,
            reason: noRate(today, currency, build.currency),
            from: currency,
            to: build.currency,
          }
        }),
    }
  },
  { most: 200 },
)

const titleOf = (world: World, leadId: string) => {
  const lead = world.rows.leads.one('id', leadId)
  return lead && lead.deletedAt === null ? lead.title : leadId
}

/** A lead as the inbox of a build shows it. */
const leadView = reading(
  'lead view',
  (world, buildId: string, leadId: string, today: string): LeadView => {
    const build = buildRow(world, buildId)
    const market = marketOf(world)
    const [each] = leadsValued(world, build, today, [leadId]) as [ValuedLead]
    const { lead, sourceName, value } = each
    const library = { get: (id: string) => part(world, id) ?? undefined }
    const repeated = sameListing(world, leadId)
    const waiting = waitingOf(world, leadId, today)
    const { answerDays = market.assumptions.risk.answerDays } = build.houseRules
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
      firstAsk: firstAskOf(asksOfLead(world, leadId)),
      currency: lead.currency,
      things: lead.things.map((thing, index) => {
        const known = library.get(thing.partId)!
        const share = value.split.things[index]!
        return {
          ...thing,
          name: partLabel(known),
          role: known.role,
          street: streetAt(market, known.id, today, build.currency, build.houseRules.patience),
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
      choiceId: chosenAs(world, buildId, leadId),
      breaches: houseRuleBreaches(build.houseRules, each, library),
      passReason: lead.passReason,
      facts: each.facts,
      signs: each.signs,
      protection: each.source.protection,
      tooCheapBelow: warnBelow(market, each, today, build.currency),
      same: repeated ? { ...repeated, earlierTitle: titleOf(world, repeated.earlierId) } : null,
      askedOn: lead.askedOn,
      waiting,
      isSilent: waiting !== null && waiting >= answerDays,
      tripId: lead.tripId,
      substitutes:
        lead.vanishedOn === null
          ? []
          : (substitutes(world, buildId, today).get(lead.id) ?? []).map((substitute) => ({
              ...substitute,
              title: titleOf(world, substitute.id),
            })),
      rebates: each.rebates.map((rebate) => rebateView(rebate, each, market, library, today, build)),
      lacks: lacksOfParts(
        world,
        buildId,
        JSON.stringify(keptParts(each, library).map(({ id }) => id)),
        today,
      ),
      photos: world.rows.photos
        .where('leadId', leadId)
        .flatMap(({ id, arrival, deletedAt }) => (deletedAt === null ? [{ id, arrival }] : [])),
    }
  },
  { most: 20_000 },
)

function agreedOn({ agreedAmount, agreedUntil }: ValuedLead['lead'], today: string): LeadView['agreed'] {
  return agreedAmount !== null && (agreedUntil === null || today <= agreedUntil)
    ? { amount: agreedAmount, until: agreedUntil }
    : null
}

function rebateView(
  rebate: ValuedLead['rebates'][number],
  { lead, beyond }: ValuedLead,
  market: Market,
  library: Library,
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

/** What of a used listing tells it from others; null of one that is no such. Shops sell many of a kind. */
const usedListing = reading(
  'used listing',
  (world, leadId: string) => {
    const lead = world.rows.leads.one('id', leadId)!
    if (lead.deletedAt !== null || lead.condition === 'new') return null
    const { id, sourceId, title, price, currency, place, listedOn, vanishedOn, condition } = lead
    const things = world.rows.leadThings
      .where('leadId', leadId)
      .map((thing) => `${thing.partId}*${thing.quantity}`)
      .sort()
      .join(' ')
    return { id, sourceId, title, price, currency, place, listedOn, vanishedOn, condition, things }
  },
  { same: sameContent, most: 20_000 },
)

const usedListings = reading(
  'used listings',
  (world) => world.rows.leads.all().flatMap(({ id }) => usedListing(world, id) ?? []),
  { same: sameMembers },
)

/** Listings that repeat an earlier one, by id; those that are gone count as forerunners. */
const sameListings = reading(
  'same listings',
  (world) => new Map(findSameListings(usedListings(world)).map((each) => [each.id, each] as const)),
)

const sameListing = reading(
  'same listing',
  (world, leadId: string): SameListing | null => sameListings(world).get(leadId) ?? null,
  { same: sameContent, most: 20_000 },
)

/** For each chosen lead of a build that is gone, what can stand in for it in the machine as chosen. */
const substitutes = reading('substitutes', (world, buildId: string, today: string) => {
  const build = buildRow(world, buildId)
  const ids = valuedInInbox(world, buildId, today)
  return substitutesFor(
    leadsValued(world, build, today, ids),
    choicesOf(world, build).flatMap(({ leadId }) => leadId ?? []),
    new Map(marketOf(world).library.map((each) => [each.id, each])),
    { brief: fitBriefOf(marketOf(world), build, today), settled: new Set(build.settled) },
  )
})

/** For each chosen lead that is gone, what can stand in for it in the machine as chosen. */
function substitutesFor(
  valued: readonly ValuedLead[],
  chosenIds: readonly string[],
  library: ReadonlyMap<string, Part>,
  checked: Omit<FitMachine, 'parts'>,
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
    checkFit({ ...checked, parts }).findings.filter((finding) => finding.severity === 'stops').length
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
const lacksOfParts = reading(
  'lacks of parts',
  (world, buildId: string, partIds: string, today: string): LeadView['lacks'] => {
    const kept = (JSON.parse(partIds) as string[]).map((id) => part(world, id)!)
    if (!kept.some(({ role }) => role === 'donor')) return []
    const build = buildRow(world, buildId)
    const market = marketOf(world)
    const library = new Map(market.library.map((each) => [each.id, each]))
    const chosen = choicesOf(world, build)
    const priced = partsAtTheirWays(suggested(world, buildId, { today, choices: chosen }))
    return lacksOf(kept, library, fitBriefOf(market, build, today), priced)
  },
  { same: sameContent, most: 20_000 },
)

/** What a donor lacks for the brief, with the cheapest that fills it. */
function lacksOf(
  kept: readonly Part[],
  library: ReadonlyMap<string, Part>,
  brief: FitBrief,
  priced: readonly PricedPart[],
): LeadView['lacks'] {
  // a machine of which nobody says what is in it surely has its parts
  if (kept.some(({ role, facts }) => role === 'donor' && facts.contains === undefined)) return null
  const machine = { parts: expandDonors(kept, library), brief }
  const roles = coreRoles.filter(
    (role) =>
      !machine.parts.some((part) => part.role === role) &&
      !(role === 'graphics' && machine.parts.some((part) => part.facts.integratedGraphics)) &&
      !(role === 'cooler' && machine.parts.some((part) => part.facts.coolerIncluded)),
  )
  // each in the machine as the ones before have left it, with what it needs
  const filled = drawLevel(
    machine,
    roles.map((role) => ({
      role,
      isNoWorse: (part: Part) => part.role === role && part.facts.module !== 'laptop',
    })),
    priced,
  )
  const findings = checkFit(machine).findings.filter(
    (finding) =>
      (finding.severity === 'stops' || finding.severity === 'needs') && finding.ruleId !== 'cpu-graphics',
  )
  return [
    ...filled.map(({ role, taken }) => ({ what: `a ${roleNames[role]}`, cost: taken?.cost ?? null })),
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
