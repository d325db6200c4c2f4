import { and, eq, inArray, isNull, ne } from 'drizzle-orm'
import type { PricedPart } from '#core/machine/upgrades/baseMachines'
import { rateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import { isTooCheap, tooCheapBelow } from '#core/supply/risk/tooCheap'
import { cheapestWays, priceByWay, type Way } from '#core/supply/ways/way'
import type { ChoiceView } from '#shared/machine/views'
import type { Database } from '../db/client'
import { choices } from '../db/schema/machine'
import { builds } from '../db/schema/builds'
import { items } from '../db/schema/ledger'
import { leads } from '../db/schema/leads'
import { anyonePrices } from './anyone'
import type { BuildRow } from './findBuild'
import { houseRuleBreaches } from './houseRuleBreaches'
import { huntFault } from './huntFault'
import { readStreetPrice } from './market'
import type { Market } from './marketState'
import { newOffers } from './newOffers'
import { partOfItem } from './readItem'
import { keptParts, valuedLeads, type ValuedLead } from './valuedLeads'

/** What the ways are for. */
interface WaysOf {
  readonly db: Database
  readonly market: Market
  readonly build: BuildRow
  readonly today: string
  /** Leads that are in the build already. */
  readonly chosen: ReadonlySet<string | null>
}

/**
 * Every way to get each part of the library for a build, docs/formulas.md (Ways): what lies on the shelf, open leads,
 * what shops ask, hunts at the three marks. All that suggests a part reads this list. Leads that the build has chosen
 * are left out, and so are those whose currency has no rate.
 */
export async function waysToGet(of: WaysOf): Promise<readonly Way[]> {
  const library = new Map(of.market.library.map((part) => [part.id, part]))
  const [fromShelf, fromLeads] = await Promise.all([shelfWays(of, library), leadWays(of, library)])
  return [
    ...fromShelf,
    ...fromLeads,
    ...of.market.library.flatMap((part) => (part.open ? [] : partWays(part, of))),
  ]
}

/** Each part at the cheapest way that can be taken; parts without one are left out. See `priceByWay`. */
export interface PartAtItsWay extends PricedPart {
  readonly way: Way
}

export function partsAtTheirWays(ways: readonly Way[]): PartAtItsWay[] {
  return [...cheapestWays(ways).values()].map((way) => ({
    part: way.part,
    price: priceByWay(way),
    how: wayWords(way),
    way,
  }))
}

/** A way in a few words, as it stands beside its part. */
export function wayWords({ kind, from, condition }: Way): string {
  if (kind === 'item') return 'on your shelf'
  if (kind === 'lead') return `a lead at ${from}`
  if (kind === 'lot') return `a lot at ${from}, the rest resold`
  if (kind === 'shop') return `new at ${from}`
  return `a hunt, ${condition}`
}

/** Things of mine that are nowhere else and not dead. */
async function shelfWays({ db, build }: WaysOf, library: ReadonlyMap<string, Part>): Promise<Way[]> {
  const rows = await db
    .select()
    .from(items)
    .where(and(eq(items.place, 'shelf'), ne(items.state, 'dead')))
    .orderBy(items.id)
  const used = new Set(
    build.variantOf === null
      ? []
      : (
          await db
            .select({ itemId: choices.itemId })
            .from(choices)
            .where(and(eq(choices.buildId, build.id), isNull(choices.deletedAt)))
        ).map((row) => row.itemId),
  )
  return rows
    .filter((row) => !used.has(row.id))
    .map((row): Way => ({
      ...nothing,
      id: `item:${row.id}`,
      kind: 'item',
      part: partOfItem(row, library),
      condition: row.condition,
      itemId: row.id,
      from: 'your shelf',
    }))
}

const nothing = {
  others: [],
  payNow: 0,
  afterRebates: 0,
  expected: 0,
  anyoneCanPay: null,
  breaks: [],
  doubt: '',
  url: '',
  grade: 'ask',
  mark: null,
  leadId: null,
  itemId: null,
} as const

/** Open leads that keep something. */
async function leadWays(of: WaysOf, library: ReadonlyMap<string, Part>): Promise<Way[]> {
  const { db, market, build, today, chosen } = of
  const table = rateTable(market.rates)
  const rows = await db
    .select({ id: leads.id, currency: leads.currency, endsOn: leads.endsOn })
    .from(leads)
    .where(and(eq(leads.state, 'open'), isNull(leads.deletedAt), isNull(leads.vanishedOn)))
  const open = rows.filter(
    (row) =>
      !chosen.has(row.id) &&
      (row.endsOn === null || row.endsOn >= today) &&
      table.find(today, row.currency, build.currency) !== null,
  )
  const valued = await valuedLeads(
    db,
    build,
    today,
    open.map((row) => row.id),
  )
  const elsewhere = await chosenElsewhere(
    db,
    build,
    open.map((row) => row.id),
  )
  return valued.flatMap((each) => leadWay(each, of, library, elsewhere))
}

/** Single things that another build means to buy: taking them here would void the choice there. */
async function chosenElsewhere(
  db: Database,
  build: BuildRow,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({ leadId: choices.leadId, name: builds.name })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(
      and(
        inArray(choices.leadId, [...ids]),
        isNull(choices.deletedAt),
        isNull(choices.voidBecause),
        isNull(builds.deletedAt),
        isNull(builds.variantOf),
        ne(builds.id, build.variantOf ?? build.id),
      ),
    )
  return new Map(rows.map((row) => [row.leadId!, row.name]))
}

function leadWay(
  valued: ValuedLead,
  { market, build, today }: WaysOf,
  library: ReadonlyMap<string, Part>,
  elsewhere: ReadonlyMap<string, string>,
): Way[] {
  const { lead, value, sourceName } = valued
  const [part, ...others] = keptParts(valued, library)
  if (!part) return []
  const isAlone = lead.things.length === 1 && lead.things[0]!.quantity === 1
  const below = isAlone
    ? tooCheapBelow(readStreetPrice(market, part.id, today, build.currency).kept, market.assumptions.pricing)
    : null
  const other = lead.stock === 'many' ? undefined : elsewhere.get(lead.id)
  return [
    {
      id: `lead:${lead.id}`,
      kind: isAlone ? 'lead' : 'lot',
      part,
      others,
      condition: lead.condition,
      payNow: value.payNow,
      afterRebates: value.afterRebates,
      expected: value.expectedAfterResale,
      anyoneCanPay:
        anyonePrices(market, build, [{ id: part.id, part, isNew: lead.condition === 'new' }], today).get(
          part.id,
        ) ?? null,
      breaks: houseRuleBreaches(build.houseRules, valued, library),
      doubt:
        lead.condition === 'damaged'
          ? 'damaged'
          : lead.manner === 'auction'
            ? 'the bid may still rise'
            : isTooCheap(value.ask, below)
              ? 'suspiciously cheap: check it carefully'
              : other === undefined
                ? ''
                : `planned for ${other}`,
      from: sourceName,
      url: lead.url,
      grade: 'ask',
      mark: null,
      leadId: lead.id,
      itemId: null,
    },
  ]
}

const marks = ['patient', 'typical', 'hurried'] as const

/** What shops ask for a part new, and hunts for it used. */
function partWays(part: Part, { market, build, today }: WaysOf): Way[] {
  const { currency, houseRules } = build
  const barred = houseRules.neverUsed.includes(part.role)
  const reading = readStreetPrice(market, part.id, today, currency)
  // an open offer is a lead, and listed as one
  const [shop] = newOffers(market, part.id, currency, today).filter((offer) => offer.leadId === null)
  const fresh = shop?.landed ?? null
  const street = reading.marks
  const forAnyone = barred || street === null ? fresh : lower(street[houseRules.patience ?? 'typical'], fresh)
  const way = (condition: 'used' | 'new', payNow: number): Way => ({
    ...nothing,
    id: '',
    kind: condition === 'new' ? 'shop' : 'hunt',
    part,
    condition,
    payNow,
    afterRebates: payNow,
    expected: payNow + huntFault(market, build, part, { isNew: condition === 'new', limit: payNow }, today),
    anyoneCanPay: condition === 'new' ? fresh : forAnyone,
    from: condition === 'new' ? shop!.sourceName : 'anywhere',
    grade: condition === 'new' ? 'ask' : reading.grade,
  })
  return [
    ...(fresh === null ? [] : [{ ...way('new', fresh), id: `shop:${part.id}` }]),
    ...(street === null || barred
      ? []
      : marks.map((mark) => ({ ...way('used', street[mark]), id: `hunt:${part.id}:${mark}`, mark }))),
  ]
}

function lower(street: number, fresh: number | null): number {
  return fresh === null ? street : Math.min(street, fresh)
}

/** The ways that a suggestion for a build reads: of the three marks only the one of the builder's patience. */
export async function suggestedWays(
  db: Database,
  market: Market,
  build: BuildRow,
  view: { readonly today: string; readonly choices: readonly Pick<ChoiceView, 'leadId'>[] },
): Promise<Way[]> {
  const chosen = new Set(view.choices.map((choice) => choice.leadId))
  const ways = await waysToGet({ db, market, build, today: view.today, chosen })
  const patience = build.houseRules.patience ?? 'typical'
  return ways.filter((way) => way.mark === null || way.mark === patience)
}
