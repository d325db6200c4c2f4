import { and, count, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { goneAtSource } from '../../leads/leadSteps'
import { decodeText } from '#core/reading/tables/decodeText'
import { jsonLdOffers, type PageOffer } from '#core/reading/listings/jsonLdOffers'
import { readFeed, type FeedEntry } from '#core/reading/listings/readFeed'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import type { Condition } from '#core/reading/sales/soldRecord'
import { isCurrency } from '#core/money/currencies'
import { parseDecimal } from '#core/money/decimal'
import { isCalendarDate } from '#core/time/calendarDate'
import type { PollProblem, PollReport } from '#shared/sources/polls'
import type { Queryable } from '#server/db/client'
import { leadAsks, leads, leadThings } from '../../../db/schema/leads'
import { polls } from '../../../db/schema/sources'
import { mustBeOk, type Outside } from '#server/outside/guardedFetch'
import { newId } from '#server/db/ids'
import { titleQueries, useMarket } from '#server/context/market'
import type { PollContext } from './pollContext'
import { mannerOfSource } from './mannerOfSource'

const mostEntries = 300
const pagesAtATime = 4
/** Pages of listings that the feed no longer names are asked for a few a poll, in turn. */
const mostUnseenPages = 20
/** A poll reads pages for so long; what is left waits for the next. */
const longestMs = 60_000

/** An entry with the offer of its page; `offer` null: the page is gone or says so. */
interface Listing {
  readonly entry: FeedEntry
  readonly offer: (PageOffer & { readonly price: string }) | null
}

/**
 * Leads from an Atom, RSS or JSON feed whose entries link to pages with a schema.org Offer. New listings become leads,
 * tied to the parts their titles name; a changed ask is noted with its day; a listing whose page is gone keeps its last
 * ask. What the builder wrote on a lead is never overwritten.
 */
export async function pollLeadFeed(context: PollContext): Promise<PollReport> {
  const { database, connector, outside, today } = context
  const feed = mustBeOk(await outside(connector.url))
  const { entries, problems: feedProblems } = readFeed(decodeText(feed.bytes).text, feed.url, mostEntries + 1)
  const problems: PollProblem[] = [...feedProblems]
  if (entries.length > mostEntries)
    problems.push({
      where: `from entry ${mostEntries + 1} on`,
      reason: `only the first ${mostEntries} entries are read`,
    })
  const listings = await readPages(entries.slice(0, mostEntries), outside, problems)
  const known = await database.db
    .select()
    .from(leads)
    .where(and(eq(leads.connectorId, connector.id), isNull(leads.vanishedOn), isNull(leads.deletedAt)))
  const unseen = known.filter((lead) => !listings.some(({ entry }) => entry.id === lead.externalId))
  const gone = new Set(
    (
      await readPages(
        (await inTurn(database.db, connector.id, unseen)).map((lead) => ({
          id: lead.externalId,
          url: lead.url,
          title: lead.title,
          publishedOn: null,
        })),
        outside,
        [],
      )
    )
      .filter(({ offer }) => offer === null)
      .map(({ entry }) => entry.id),
  )
  const ended = unseen.filter(
    (lead) => gone.has(lead.externalId) || (lead.endsOn !== null && lead.endsOn < today),
  )
  const reader = new TitleReader(titleQueries(await useMarket(database.db)), today)
  const counts = { added: 0, changed: 0, alreadyThere: 0, vanished: 0 }
  await database.db.transaction(async (tx) => {
    for (const listing of listings) {
      try {
        counts[await takeListing(tx, listing, context, reader)] += 1
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        problems.push({ where: `entry "${listing.entry.title.slice(0, 80)}"`, reason: error.message })
      }
    }
    for (const lead of ended) await goneAtSource(tx, lead, today)
    counts.vanished += ended.length
  })
  return { ...counts, rejected: problems.length, problems: problems.slice(0, 200) }
}

/** Some of many, other ones each poll, so that all have had their turn after a while. */
async function inTurn<T>(db: Queryable, connectorId: string, all: readonly T[]): Promise<T[]> {
  if (all.length <= mostUnseenPages) return [...all]
  const [row] = await db.select({ polls: count() }).from(polls).where(eq(polls.connectorId, connectorId))
  const start = ((row?.polls ?? 0) * mostUnseenPages) % all.length
  return [...all.slice(start), ...all.slice(0, start)].slice(0, mostUnseenPages)
}

/** Reads the pages, a few at a time; a page that cannot be read is a problem and its entry waits for the next poll. */
async function readPages(
  entries: readonly FeedEntry[],
  outside: Outside,
  problems: PollProblem[],
): Promise<Listing[]> {
  const listings: (Listing | null)[] = new Array(entries.length).fill(null)
  let next = 0
  const began = performance.now()
  const work = async () => {
    while (next < entries.length) {
      const index = next
      next += 1
      const entry = entries[index]!
      if (performance.now() - began > longestMs) {
        problems.push({
          where: `entry "${entry.title.slice(0, 80)}"`,
          reason: 'left for the next check: this one took a minute',
        })
        continue
      }
      try {
        listings[index] = { entry, offer: offerOf(await outside(entry.url)) }
      } catch (error) {
        problems.push({ where: `entry "${entry.title.slice(0, 80)}"`, reason: (error as Error).message })
      }
    }
  }
  await Promise.all(Array.from({ length: pagesAtATime }, work))
  return listings.filter((listing) => listing !== null)
}

function offerOf(answer: Awaited<ReturnType<Outside>>): Listing['offer'] {
  if (answer.status === 404 || answer.status === 410) return null
  const [offer] = jsonLdOffers(decodeText(mustBeOk(answer).bytes).text)
  if (!offer!.available) return null
  if (offer!.price === null) throw new CoreError('page-without-price', {})
  return { ...offer!, price: offer!.price }
}

type Outcome = 'added' | 'changed' | 'alreadyThere' | 'vanished'

async function takeListing(
  tx: Queryable,
  { entry, offer }: Listing,
  { connector, source, today }: PollContext,
  reader: TitleReader,
): Promise<Outcome> {
  const [known] = await tx
    .select()
    .from(leads)
    .where(and(eq(leads.sourceId, source.id), eq(leads.externalId, entry.id)))
  if (offer === null) {
    if (!known) throw new CoreError('gone', {})
    if (known.vanishedOn !== null) return 'alreadyThere'
    await goneAtSource(tx, known, today)
    return 'vanished'
  }
  const currency = offer.currency ?? source.currency
  if (!isCurrency(currency)) throw new CoreError('page-currency', { currency: currency.slice(0, 10) })
  const ask = parseDecimal(offer.price, currency, 'price')
  if (known) return followAsk(tx, known, ask, today)
  const title = offer.title === 'untitled' ? entry.title : offer.title
  const match = reader.read(title)
  const id = newId(title)
  const listedOn = entry.publishedOn !== null && entry.publishedOn <= today ? entry.publishedOn : today
  await tx.insert(leads).values({
    id,
    sourceId: source.id,
    externalId: entry.id,
    title: title.slice(0, 300),
    url: offer.url ?? entry.url,
    price: ask,
    currency,
    condition: match.damaged ? 'damaged' : conditionOf(offer, source.kind),
    manner: mannerOfSource(source.kind),
    listedOn,
    endsOn: offer.validUntil !== null && isCalendarDate(offer.validUntil) ? offer.validUntil : null,
    shipping: offer.shipping === null ? null : parseDecimal(offer.shipping, currency, 'shipping'),
    place: offer.place ?? '',
    note: '',
    state: 'open',
    connectorId: connector.id,
    lastSeenOn: today,
    tieDeduced: true,
  })
  const tied = match.kind === 'single' || match.kind === 'lot' ? match.partIds : []
  for (const [position, partId] of tied.entries())
    await tx.insert(leadThings).values({ leadId: id, position, partId, quantity: 1, plan: 'keep' })
  await tx.insert(leadAsks).values({ leadId: id, day: listedOn, ask })
  return 'added'
}

function conditionOf(offer: PageOffer, kind: PollContext['source']['kind']): Condition {
  return (
    offer.condition ??
    (kind === 'shop' || kind === 'counter' ? 'new' : kind === 'refurbisher' ? 'refurbished' : 'used')
  )
}

/** Notes a changed ask. The lead's price follows it unless the builder has written another one. */
async function followAsk(
  tx: Queryable,
  lead: typeof leads.$inferSelect,
  ask: number,
  today: string,
): Promise<Outcome> {
  const asks = await tx.select().from(leadAsks).where(eq(leadAsks.leadId, lead.id)).orderBy(leadAsks.day)
  const last = asks.at(-1)?.ask ?? lead.price
  const isBuilders = lead.price !== last
  await tx
    .update(leads)
    .set({
      lastSeenOn: today,
      vanishedOn: null,
      ...(lead.state === 'gone' ? { state: 'open' as const } : {}),
      ...(ask !== last && !isBuilders ? { price: ask } : {}),
    })
    .where(eq(leads.id, lead.id))
  if (ask === last) return 'alreadyThere'
  await tx
    .insert(leadAsks)
    .values({ leadId: lead.id, day: today, ask })
    .onConflictDoUpdate({ target: [leadAsks.leadId, leadAsks.day], set: { ask } })
  return 'changed'
}
