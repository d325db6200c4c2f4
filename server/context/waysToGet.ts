import type { PricedPart } from '#core/machine/upgrades/pricedPart'
import { rateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import { isTooCheap, tooCheapBelow } from '#core/supply/risk/tooCheap'
import { cheapestWays, priceByWay, type Way } from '#core/supply/ways/way'
import type { ChoiceView } from '#shared/machine/views'
import type { Queryable } from '../db/client'
import { reading, sameMembers } from '../readings/reading'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'
import { anyonePrices } from './anyone'
import { rootIdOf, type BuildRow } from './findBuild'
import { houseRuleBreaches } from './houseRuleBreaches'
import { huntFault } from './huntFault'
import { readStreetPrice } from './market'
import { marketOf, part } from './marketReadings'
import type { Market } from './marketState'
import { newOffers } from './newOffers'
import { partOfItem } from './readItem'
import { keptParts, leadsValued, type ValuedLead, passedBy } from './valuedLeads'

/** Leads that a build has chosen: they are no way any more. */
type Chosen = ReadonlySet<string | null>

/**
 * Every way to get each part of the library for a build, docs/formulas.md (Ways): what lies on the shelf, open leads,
 * what shops ask, hunts at the three marks. All that suggests a part reads this list. Leads that the build has chosen
 * are left out, and so are those whose currency has no rate.
 */
export function waysOf(world: World, buildId: string, today: string, chosen: Chosen): readonly Way[] {
  return [
    ...shelfWays(world, buildId),
    ...openLeads(world, buildId, today)
      .filter((leadId) => !chosen.has(leadId))
      .flatMap((leadId) => leadWay(world, buildId, leadId, today)),
    ...marketOf(world).library.flatMap(({ id, open }) => (open ? [] : partWays(world, buildId, id, today))),
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

/** Things of mine that are nowhere else and not dead; a variant takes none twice. */
const shelfWays = reading('ways from the shelf', (world, buildId: string): readonly Way[] => {
  const used = new Set(
    buildOf(world, buildId).variantOf === null
      ? []
      : world.rows.choices
          .where('buildId', buildId)
          .flatMap(({ itemId, deletedAt }) => (deletedAt === null ? [itemId] : [])),
  )
  return world.rows.items
    .where('place', 'shelf')
    .filter(({ id, state }) => state !== 'dead' && !used.has(id))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .map((row): Way => ({
      ...nothing,
      id: `item:${row.id}`,
      kind: 'item',
      part: partOfItem(row, libraryOf(world)),
      condition: row.condition,
      itemId: row.id,
      from: 'your shelf',
    }))
})

const buildOf = (world: World, buildId: string) => world.rows.builds.one('id', buildId)!
const libraryOf = (world: World) => ({ get: (id: string) => part(world, id) ?? undefined })

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

/** Open leads that a build can be calculated with. */
const openLeads = reading(
  'open leads',
  (world, buildId: string, today: string): readonly string[] => {
    const { currency: home } = buildOf(world, buildId)
    const table = rateTable(marketOf(world).rates)
    const passed = passedBy(world, buildId)
    return world.rows.leads
      .where('state', 'open')
      .filter(
        ({ id, deletedAt, vanishedOn, endsOn, currency }) =>
          deletedAt === null &&
          passed[id] === undefined &&
          vanishedOn === null &&
          (endsOn === null || endsOn >= today) &&
          table.find(today, currency, home) !== null,
      )
      .map(({ id }) => id)
      .sort()
  },
  { same: sameMembers },
)

/** The build besides this one that means to buy a single thing: taking it here would void the choice there. */
function plannedFor(world: World, leadId: string, rootId: string): string | undefined {
  return world.rows.choices
    .where('leadId', leadId)
    .flatMap(({ buildId, deletedAt, voidBecause }) => {
      const build = buildOf(world, buildId)
      const isPlanned =
        deletedAt === null && voidBecause === null && build.deletedAt === null && build.variantOf === null
      return isPlanned && build.id !== rootId ? [build.name] : []
    })
    .at(-1)
}

/** An open lead as a way to get what it keeps. */
const leadWay = reading(
  'way of lead',
  (world, buildId: string, leadId: string, today: string): readonly Way[] => {
    const market = marketOf(world)
    const build = buildOf(world, buildId)
    const library = libraryOf(world)
    const [valued] = leadsValued(world, build, today, [leadId]) as [ValuedLead]
    const { lead, value, sourceName } = valued
    const [first, ...others] = keptParts(valued, library)
    if (!first) return []
    const isAlone = lead.things.length === 1 && lead.things[0]!.quantity === 1
    const below = isAlone
      ? tooCheapBelow(
          readStreetPrice(market, first.id, today, build.currency).kept,
          market.assumptions.pricing,
        )
      : null
    const other = lead.stock === 'many' ? undefined : plannedFor(world, leadId, rootIdOf(world, build))
    const alone = [{ id: first.id, part: first, isNew: lead.condition === 'new' }]
    return [
      {
        id: `lead:${lead.id}`,
        kind: isAlone ? 'lead' : 'lot',
        part: first,
        others,
        condition: lead.condition,
        payNow: value.payNow,
        afterRebates: value.afterRebates,
        expected: value.expectedAfterResale,
        anyoneCanPay: anyonePrices(market, build, alone, today).get(first.id) ?? null,
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
  },
  { most: 20_000 },
)

const marks = ['patient', 'typical', 'hurried'] as const

/** What shops ask for a part new, and hunts for it used. */
const partWays = reading(
  'ways to hunt or buy part',
  (world, buildId: string, partId: string, today: string) =>
    waysOfPart(part(world, partId)!, marketOf(world), buildOf(world, buildId), today),
  { most: 20_000 },
)

function waysOfPart(part: Part, market: Market, build: BuildRow, today: string): Way[] {
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
export function suggested(world: World, buildId: string, { today, choices }: Suggesting): Way[] {
  const chosen = new Set(choices.map(({ leadId }) => leadId))
  const patience = buildOf(world, buildId).houseRules.patience ?? 'typical'
  return waysOf(world, buildId, today, chosen).filter(({ mark }) => mark === null || mark === patience)
}

interface Suggesting {
  readonly today: string
  readonly choices: readonly Pick<ChoiceView, 'leadId'>[]
}

export async function suggestedWays(
  db: Pick<Queryable, 'select'>,
  build: Pick<BuildRow, 'id'>,
  view: Suggesting,
): Promise<Way[]> {
  return suggested(await useWorld(db), build.id, view)
}
