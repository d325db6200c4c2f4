import { groupBy } from '#core/collections/groupBy'
import type { ShopBundle } from '#core/supply/anyone/anyoneCanPay'
import type { Part } from '#core/parts/part'
import type { Override } from '#core/pricing/street/streetPrice'
import { queryForPart, type PartQuery } from '#core/reading/titles/queryForPart'
import { reading, sameContent, sameMembers } from '../readings/reading'
import type { World } from '../readings/world'
import type { Market, OpenOffer, ShopPriceRow } from './marketState'
import { inForce, settingsOf } from './settings'

/** What is set for the whole house; the assumptions in force with it. */
export const houseSettings = reading('settings', (world) => settingsOf(world.rows.settings.all()), {
  same: sameContent,
})
export const houseInForce = reading('assumptions in force', (world) => inForce(houseSettings(world)))

/** A part of the library; null where it is not there. */
export const part = reading(
  'part',
  (world, id: string): Part | null => {
    const row = world.rows.parts.one('id', id)
    if (!row) return null
    const { role, make, name, facts, open } = row
    return { id, role, make, name, facts, ...(open ? { open } : {}) }
  },
  { same: sameContent, most: 20_000 },
)

const library = reading(
  'library',
  (world) => world.rows.parts.all().flatMap(({ id }) => part(world, id) ?? []),
  {
    same: sameMembers,
  },
)

const openParts = reading(
  'open parts',
  (world) =>
    new Map(library(world).flatMap((each) => (each.open === true ? [[each.id, each] as const] : []))),
)

/** How a part is told among titles: as the builder has said, else by its facts and those of its sisters. */
const queryOfPart = reading(
  'query of part',
  (world, id: string): PartQuery => {
    const own = world.rows.parts.one('id', id)!.query
    const known = part(world, id)!
    return own
      ? { role: known.role, ...own }
      : queryForPart(known, library(world), houseInForce(world).assumptions.pricing)
  },
  { same: sameContent, most: 20_000 },
)

const queries = reading(
  'queries',
  (world) => new Map(library(world).map(({ id }) => [id, queryOfPart(world, id)] as const)),
)

const overridesOfPart = reading(
  'decisions on records of part',
  (world, id: string): Readonly<Record<string, Override>> =>
    Object.fromEntries(
      world.rows.recordOverrides.where('partId', id).map((row) => [String(row.recordId), row.decision]),
    ),
  { same: sameContent, most: 20_000 },
)

/** The records that can have the words of a part. */
export const recordsOfPart = reading(
  'records of part',
  (world, id: string) => world.records.candidates(queryOfPart(world, id).must),
  { same: sameMembers, most: 20_000 },
)

const shopHistoryOfPart = reading(
  'shop prices of part',
  (world, id: string): ReadonlyMap<string, readonly ShopPriceRow[]> =>
    groupBy(
      world.rows.shopPrices
        .where('partId', id)
        .toSorted((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0)),
      ({ sourceId }) => sourceId,
    ),
  { same: sameContent, most: 20_000 },
)

const sources = reading('sources', (world) => new Map(world.rows.sources.all().map((row) => [row.id, row])))

const shops: ReadonlySet<string> = new Set(['shop', 'counter', 'refurbisher'])

/** Open offers of shops for a part: of one new thing each, in the shop's own currency. */
const openOffersOfPart = reading(
  'open offers of part',
  (world, id: string): readonly OpenOffer[] => {
    const { leads, leadThings, sources: known } = world.rows
    return leadThings
      .where('partId', id)
      .flatMap(({ leadId, quantity }): OpenOffer[] => {
        const lead = leads.one('id', leadId)!
        const isOpen =
          lead.state === 'open' &&
          lead.condition === 'new' &&
          lead.deletedAt === null &&
          lead.vanishedOn === null
        if (!isOpen || quantity !== 1 || leadThings.where('leadId', leadId).length !== 1) return []
        const source = known.one('id', lead.sourceId)!
        if (lead.currency !== source.currency || !shops.has(source.kind)) return []
        const { price, currency } = lead
        return [{ shopId: source.id, price, currency, leadId, date: lead.lastSeenOn ?? lead.listedOn }]
      })
      .sort((a, b) => (a.leadId < b.leadId ? -1 : 1))
  },
  { same: sameContent, most: 20_000 },
)

/** What shops ask for several new things at once: open offers that one thing is not alone in. */
const openBundles = reading(
  'open bundles',
  (world): readonly (ShopBundle & { readonly currency: string })[] =>
    world.rows.leads.where('state', 'open').flatMap((lead) => {
      const isOffered = lead.condition === 'new' && lead.deletedAt === null && lead.vanishedOn === null
      const source = isOffered ? world.rows.sources.one('id', lead.sourceId) : undefined
      if (!source || lead.currency !== source.currency || !shops.has(source.kind)) return []
      const things = world.rows.leadThings.where('leadId', lead.id)
      const partIds = things.flatMap(({ partId, quantity }) => Array<string>(quantity).fill(partId)).sort()
      return partIds.length < 2
        ? []
        : [{ id: lead.id, shopId: source.id, price: lead.price, currency: lead.currency, partIds }]
    }),
  { same: sameContent },
)

/** The market of a world: whoever reads a member inside a reading is told when that changes, and of nothing else. */
class MarketOfWorld implements Market {
  constructor(readonly world: World) {}
  get assumptions() {
    return houseInForce(this.world).assumptions
  }
  get ownMoney() {
    return houseInForce(this.world).ownMoney
  }
  get rates() {
    return this.world.rows.exchangeRates.all()
  }
  get index() {
    return this.world.records
  }
  get library() {
    return library(this.world)
  }
  get open() {
    return openParts(this.world)
  }
  get queries() {
    return queries(this.world)
  }
  get sources() {
    return sources(this.world)
  }
  readonly overrides = { get: (id: string) => overridesOfPart(this.world, id) }
  readonly shopHistory = { get: (id: string) => shopHistoryOfPart(this.world, id) }
  readonly openOffers = { get: (id: string) => openOffersOfPart(this.world, id) }
  get openBundles() {
    return openBundles(this.world)
  }
}

const markets = new WeakMap<World, Market>()

/** What the market is made of. */
const marketTables = [
  ...([
    'exchangeRates',
    'leads',
    'leadThings',
    'parts',
    'recordOverrides',
    'settings',
    'shopPrices',
  ] as const),
  ...(['sources', 'records'] as const),
]

export function marketOf(asked: World): Market {
  const world = asked.unless(marketTables)
  let market = markets.get(world)
  if (!market) markets.set(world, (market = new MarketOfWorld(world)))
  return market
}
