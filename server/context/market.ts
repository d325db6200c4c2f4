import { and, eq, gt, inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { ExchangeRate } from '#core/money/rates'
import { RecordIndex } from '#core/pricing/sieve/recordIndex'
import { queryForPart, type PartQuery } from '#core/reading/titles/queryForPart'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { streetPrice, type Override, type StreetPrice } from '#core/pricing/street/streetPrice'
import { isPlausible } from '#core/parts/openPart'
import type { Part } from '#core/parts/part'
import type { CalendarDate } from '#core/time/calendarDate'
import type { HouseRules } from '#shared/brief/houseRules'
import { versionOf, type Database, type Queryable } from '../db/client'
import { exchangeRates, recordOverrides, shopPrices, soldRecords } from '../db/schema/prices'
import { parts } from '../db/schema/parts'
import { sources } from '../db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { stateTag } from '#shared/text/stateTag'
import { restoreReadings } from './keptReadings'
import type { Market, ShopPriceRow } from './marketState'
import { readingKey, readingOf } from './readingKey'
import { readOpenOffers } from './openOffers'
import { performanceChanged } from './performance'
import { inForce, readSettings } from './settings'

const markets = new WeakMap<Database, Promise<Market>>()
/** The market as it was before something changed: its records and readings are taken over where they still hold. */
const before = new WeakMap<Database, Market>()

/** To be called after a write to records, rates, shop prices or the library: the next reading takes in what changed. */
export function marketChanged(db: Database): void {
  const market = markets.get(db)
  markets.delete(db)
  market?.then(
    (known) => before.set(db, known),
    () => undefined,
  )
  performanceChanged(db)
}

/** To be called where records were replaced or deleted, as a restore or an undo does: nothing of the old market holds. */
export function marketReplaced(db: Database): void {
  markets.delete(db)
  before.delete(db)
  performanceChanged(db)
}

export async function useMarket(db: Database): Promise<Market> {
  let market = markets.get(db)
  if (!market) {
    market = loadMarket(db, before.get(db))
    markets.set(db, market)
    market.catch(() => markets.delete(db))
  }
  const known = await market
  await refreshShops(db, known)
  return known
}

/** Lets a transaction read by the market of its database, which it does not change. */
export function lendMarket(db: Database, to: object): void {
  const market = markets.get(db)
  if (market) markets.set(to as Database, market)
}

/** Version of the database that the shops and open offers of a market were read at. */
const offersAsOf = new WeakMap<Market, number>()

/**
 * Leads and codes change more often than anything else of the market: what shops offer is read again by itself after
 * any write.
 */
async function refreshShops(db: Database, market: Market): Promise<void> {
  const version = versionOf(db)
  if (version !== null && offersAsOf.get(market) === version) return
  const [offers, sourceRows] = await Promise.all([readOpenOffers(db), db.select().from(sources)])
  if (version !== null) offersAsOf.set(market, version)
  const shops = new Map(sourceRows.map((row) => [row.id, row]))
  if (stateTag([[...offers], [...shops]]) === stateTag([[...market.openOffers], [...market.sources]])) return
  market.openOffers = offers
  market.sources = shops
  market.offers.clear()
  market.priced.clear()
}

/**
 * With an earlier market only the records that came since are read; where some were deleted there is none, see
 * `marketReplaced`.
 */
async function loadMarket(db: Database, earlier: Market | undefined): Promise<Market> {
  const [records, rates, partRows, overrideRows, shopRows, sourceRows, set] = await Promise.all([
    db
      .select()
      .from(soldRecords)
      .where(gt(soldRecords.id, earlier?.lastRecord ?? 0)),
    db.select().from(exchangeRates),
    db.select().from(parts),
    db.select().from(recordOverrides),
    db.select().from(shopPrices).orderBy(shopPrices.date),
    db.select().from(sources),
    readSettings(db),
  ])
  const force = inForce(set)
  const library: Part[] = partRows.map(({ id, role, make, name, facts, open }) => ({
    id,
    role,
    make,
    name,
    facts,
    ...(open ? { open } : {}),
  }))
  const overrides = new Map<string, Record<string, Override>>()
  for (const { partId, recordId, decision } of overrideRows)
    overrides.set(partId, { ...overrides.get(partId), [String(recordId)]: decision })
  const added = records.map(toSoldRecord)
  const index = earlier?.index ?? new RecordIndex([])
  index.add(added)
  const byId = new Map(library.map((part) => [part.id, part]))
  const market: Market = {
    index,
    lastRecord: records.reduce((last, { id }) => Math.max(last, id), earlier?.lastRecord ?? 0),
    rates,
    ...force,
    library,
    open: new Map(library.filter((part) => part.open === true).map((part) => [part.id, part])),
    queries: new Map(
      partRows.map((row) => [
        row.id,
        row.query
          ? { role: row.role, ...row.query }
          : queryForPart(byId.get(row.id)!, library, force.assumptions.pricing),
      ]),
    ),
    overrides,
    shopHistory: historyByPart(shopRows),
    sources: new Map(sourceRows.map((row) => [row.id, row])),
    readings: new Map(),
    judge: (key) => judge(market, key),
    priced: new Map(),
    openOffers: new Map(),
    offers: new Map(),
  }
  if (earlier) takeOverReadings(earlier, market, added)
  else restoreReadings(db, market, added)
  return market
}

/** A reading holds on where no record that came could have its words, and its query, decisions and rates are as they were. */
function takeOverReadings(earlier: Market, market: Market, added: readonly SoldRecord[]): void {
  if (stateTag(earlier.rates) !== stateTag(market.rates)) return
  const came = new RecordIndex(added)
  const holds = (partId: string) => {
    const query = market.queries.get(partId)
    const was = earlier.queries.get(partId)
    return (
      query !== undefined &&
      was !== undefined &&
      JSON.stringify(query) === JSON.stringify(was) &&
      stateTag(earlier.overrides.get(partId) ?? {}) === stateTag(market.overrides.get(partId) ?? {}) &&
      came.candidates(query.must).length === 0
    )
  }
  const asked = new Map<string, boolean>()
  for (const [key, reading] of earlier.readings) {
    const { partId } = readingOf(key)
    let kept = asked.get(partId)
    if (kept === undefined) asked.set(partId, (kept = holds(partId)))
    if (kept) market.readings.set(key, reading)
  }
}

/** Every column of a stored record but those that say where it came in. */
export function toSoldRecord({
  id,
  externalId: _externalId,
  importId: _importId,
  ...record
}: typeof soldRecords.$inferSelect): SoldRecord {
  return { ...record, id: String(id) }
}

function historyByPart(rows: readonly ShopPriceRow[]): Map<string, Map<string, ShopPriceRow[]>> {
  const history = new Map<string, Map<string, ShopPriceRow[]>>()
  for (const row of rows) {
    const shops = history.get(row.partId) ?? new Map<string, ShopPriceRow[]>()
    history.set(row.partId, shops)
    const known = shops.get(row.sourceId)
    if (known) known.push(row)
    else shops.set(row.sourceId, [row])
  }
  return history
}

/** The street price of a part as of a date, in a currency. Only records that can have its words are sieved. */
export function readStreetPrice(
  market: Market,
  partId: string,
  asOf: CalendarDate,
  currency: string,
): StreetPrice {
  const open = market.open.get(partId)
  if (open) return standIn(market, open, asOf, currency)
  const key = readingKey(partId, asOf, currency)
  const cached = market.readings.get(key)
  if (cached) return cached
  const reading = judge(market, key)
  market.readings.set(key, reading)
  return reading
}

/** The street price of an open part: that of the cheapest of the library which it may be. */
function standIn(market: Market, open: Part, asOf: CalendarDate, currency: string): StreetPrice {
  const readings = market.library
    .filter((part) => isPlausible(open, part))
    .map(({ id }) => ({ id, reading: readStreetPrice(market, id, asOf, currency) }))
    .filter(({ reading }) => reading.marks !== null)
    .sort((a, b) => a.reading.marks!.typical - b.reading.marks!.typical)
  const [cheapest] = readings
  return cheapest
    ? { ...cheapest.reading, standsFor: cheapest.id }
    : judge(market, readingKey(open.id, asOf, currency), [])
}

function judge(market: Market, key: string, among?: readonly SoldRecord[]): StreetPrice {
  const { partId, asOf, currency } = readingOf(key)
  const query = market.queries.get(partId)!
  return streetPrice({ ...query, asOf, currency }, among ?? market.index.candidates(query.must), {
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
  const market = await markets.get(db)
  if (market) await refreshPart(db, market, partId)
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

/** After a decision only one part's overrides and readings change; the records need not be read again. */
async function refreshPart(db: Database, market: Market, partId: string): Promise<void> {
  const rows = await db.select().from(recordOverrides).where(eq(recordOverrides.partId, partId))
  const overrides = market.overrides as Map<string, Record<string, Override>>
  overrides.set(partId, Object.fromEntries(rows.map((row) => [String(row.recordId), row.decision])))
  forgetReadings(market, partId)
}

function forgetReadings(market: Market, partId: string): void {
  market.priced.clear()
  for (const key of market.readings.keys()) if (readingOf(key).partId === partId) market.readings.delete(key)
}

/** Saves a part's price query (null: back to the one derived from its facts). */
export async function setQuery(db: Database, partId: string, query: PartQuery | null): Promise<void> {
  await assertPart(db, partId)
  await db.update(parts).set({ query }).where(eq(parts.id, partId))
  const market = await markets.get(db)
  if (!market) return
  const part = market.library.find((each) => each.id === partId)!
  ;(market.queries as Map<string, PartQuery>).set(
    partId,
    query ?? queryForPart(part, market.library, market.assumptions.pricing),
  )
  forgetReadings(market, partId)
}
