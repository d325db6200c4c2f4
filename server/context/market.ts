import { and, eq, inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { ExchangeRate } from '#core/money/rates'
import { isPlausible } from '#core/parts/openPart'
import type { Part } from '#core/parts/part'
import { streetPrice, type Override, type StreetPrice } from '#core/pricing/street/streetPrice'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { CalendarDate } from '#core/time/calendarDate'
import { NotFoundError } from '#server/errors/notFoundError'
import type { HouseRules } from '#shared/brief/houseRules'
import type { Database, Queryable } from '../db/client'
import { parts } from '../db/schema/parts'
import { recordOverrides, soldRecords } from '../db/schema/prices'
import { tagOfMany, textTag } from '../readings/textTag'
import { reading } from '../readings/reading'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'
import { findKept, keep, openKept } from './keptReadings'
import { marketOf, recordsOfPart } from './marketReadings'
import type { Market } from './marketState'

/** The market of a database, or of what a transaction sees of it. */
export async function useMarket(db: Pick<Queryable, 'select'>): Promise<Market> {
  const world = await useWorld(db)
  openKept(db, world)
  return marketOf(world)
}

/** The street price of a part as of a date, in a currency. Only records that can have its words are sieved. */
export function readStreetPrice(
  { world }: Pick<Market, 'world'>,
  partId: string,
  asOf: CalendarDate,
  currency: string,
): StreetPrice {
  const base = world.unless(['parts', 'recordOverrides', 'exchangeRates', 'settings', 'records'])
  return street(base, partId, asOf, currency)
}

const street: (world: World, partId: string, asOf: string, currency: string) => StreetPrice = reading(
  'street price',
  (world, partId: string, asOf: string, currency: string) => {
    const market = marketOf(world)
    const open = market.open.get(partId)
    if (open) return standIn(market, open, asOf, currency)
    const key = JSON.stringify([asOf, currency, partId])
    const basis = textTag(
      JSON.stringify([
        market.queries.get(partId),
        market.overrides.get(partId),
        market.rates,
        tagOfMany(recordsOfPart(world, partId)),
      ]),
    )
    const judge = () => judgedStreet(world, partId, asOf, currency)
    const kept = findKept(world, key, basis, () => judge().dropped)
    return kept ?? keep(world, key, basis, judge())
  },
  { most: 20_000 },
)

/** Every title that may be of a part judged, and what the kept ones say. */
const judgedStreet = reading(
  'street price judged',
  (world, partId: string, asOf: string, currency: string) =>
    judged(marketOf(world), partId, asOf, currency, recordsOfPart(world, partId)),
  { most: 20_000 },
)

/** The street price of an open part: that of the cheapest of the library which it may be. */
function standIn(market: Market, open: Part, asOf: CalendarDate, currency: string): StreetPrice {
  const readings = market.library
    .filter((part) => isPlausible(open, part))
    .map(({ id }) => ({ id, reading: readStreetPrice(market, id, asOf, currency) }))
    .filter(({ reading: each }) => each.marks !== null)
    .sort((a, b) => a.reading.marks!.typical - b.reading.marks!.typical)
  const [cheapest] = readings
  return cheapest
    ? { ...cheapest.reading, standsFor: cheapest.id }
    : judged(market, open.id, asOf, currency, [])
}

function judged(
  market: Market,
  partId: string,
  asOf: CalendarDate,
  currency: string,
  among: readonly SoldRecord[],
): StreetPrice {
  return streetPrice({ ...market.queries.get(partId)!, asOf, currency }, among, {
    rates: market.rates,
    overrides: market.overrides.get(partId) ?? {},
    missingRate: 'drop',
  })
}

/** The queries by which titles are tied to parts: a title never says which open part it means. */
export function titleQueries({ queries, open }: Market): ReadonlyMap<string, PartQuery> {
  return new Map([...queries].filter(([id]) => !open.has(id)))
}

/** Street price of a part at the builder's patience; null without comps. */
export function streetAt(
  market: Market,
  partId: string,
  asOf: CalendarDate,
  currency: string,
  patience: HouseRules['patience'] = 'typical',
): number | null {
  return readStreetPrice(market, partId, asOf, currency).marks?.[patience] ?? null
}

const largestPool = 50_000

/** The newest records that can have the words of a query, and the builder's word on them; for trying a query out. */
export async function recordPool(
  db: Database,
  partId: string,
  must: readonly string[],
): Promise<{
  records: SoldRecord[]
  overrides: Readonly<Record<string, Override>>
  rates: readonly ExchangeRate[]
}> {
  const market = await useMarket(db)
  const records = [...market.index.candidates(must)]
  if (records.length > largestPool)
    records.sort((a, b) => (a.soldOn < b.soldOn ? 1 : -1)).length = largestPool
  return { records, overrides: market.overrides.get(partId) ?? {}, rates: market.rates }
}

/** Sets or takes back the builder's word on a record. */
export async function setOverride(
  db: Database,
  partId: string,
  recordIds: readonly number[],
  decision: Override | null,
): Promise<void> {
  await db.transaction(async (tx) => {
    await assertPart(tx, partId)
    await assertRecords(tx, recordIds)
    for (const recordId of recordIds) {
      if (decision === null)
        await tx
          .delete(recordOverrides)
          .where(and(eq(recordOverrides.partId, partId), eq(recordOverrides.recordId, recordId)))
      else
        await tx
          .insert(recordOverrides)
          .values({ partId, recordId, decision })
          .onConflictDoUpdate({
            target: [recordOverrides.partId, recordOverrides.recordId],
            set: { decision },
          })
    }
  })
}

async function assertPart(db: Queryable, partId: string): Promise<void> {
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, partId))
  if (!part) throw new NotFoundError('part', partId)
}

/** Many at a time: a statement takes only so many values. */
async function assertRecords(db: Queryable, recordIds: readonly number[]): Promise<void> {
  for (let start = 0; start < recordIds.length; start += 500) {
    const wanted = recordIds.slice(start, start + 500)
    const found = new Set(
      (await db.select({ id: soldRecords.id }).from(soldRecords).where(inArray(soldRecords.id, wanted))).map(
        (row) => row.id,
      ),
    )
    const missing = wanted.find((id) => !found.has(id))
    if (missing !== undefined) throw new CoreError('unknown-record', { missing }, 'recordIds')
  }
}

/** Saves a part's price query (null: back to the one derived from its facts). */
export async function setQuery(db: Database, partId: string, query: PartQuery | null): Promise<void> {
  await assertPart(db, partId)
  await db.update(parts).set({ query }).where(eq(parts.id, partId))
}
