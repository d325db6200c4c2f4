import { and, eq, isNull, sql } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { haggleSheet, type HaggleSheet } from '#core/supply/haggle/haggleSheet'
import { affordableCombinations } from '#core/supply/haggle/openOffers'
import { isTooCheap } from '#core/supply/risk/tooCheap'
import { parseDecimal, roundHalfAway } from '#core/money/decimal'
import { moneySize } from '#core/assumptions/moneySize'
import { rateTable } from '#core/money/rates'
import type { offerSchema } from '#shared/leads/schemas'
import { daysWaiting } from '#core/supply/risk/silence'
import type { HouseRules } from '#shared/brief/houseRules'
import type { HaggleView } from '#shared/leads/views'
import type { Database, Queryable } from '#server/db/client'
import { leads, offers } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { bidsOf } from './bids'
import { asksOf } from './leadAsks'
import { newId } from '#server/db/ids'
import { valuedLeads, type ValuedLead } from '#server/context/valuedLeads'
import { warnBelow } from './readLeads'
import { useMarket, streetAt } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { buildView } from '../builds/buildView'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { newOffers } from '#server/context/newOffers'

/** What a haggle sheet is worked out from: the lead, what it is held against, and what was said so far. */
interface Haggled {
  readonly build: BuildRow
  readonly market: Market
  readonly today: string
  readonly own: ValuedLead
  readonly valued: readonly ValuedLead[]
  /** The cheapest other lead of the same parts. */
  readonly cheapest: ValuedLead | undefined
  readonly log: readonly (typeof offers.$inferSelect)[]
}

export async function haggled(
  db: Database,
  buildId: string,
  leadId: string,
  today: string,
): Promise<Haggled> {
  const build = await findBuild(db, buildId)
  const market = await useMarket(db)
  const openIds = (
    await db
      .select({ id: leads.id, currency: leads.currency })
      .from(leads)
      .where(and(isNull(leads.deletedAt), isNull(leads.vanishedOn), eq(leads.state, 'open')))
  )
    .filter(
      (row) =>
        row.id === leadId || rateTable(market.rates).find(today, row.currency, build.currency) !== null,
    )
    .map((row) => row.id)
  const valued = await valuedLeads(db, build, today, [...new Set([...openIds, leadId])])
  const own = valued.find((each) => each.lead.id === leadId)
  if (!own) throw new NotFoundError('lead', leadId)
  const log = await db
    .select()
    .from(offers)
    .where(and(eq(offers.leadId, leadId), isNull(offers.deletedAt)))
    .orderBy(offers.day, offers.id)
  // a bid may still rise, a broken thing is no alternative, and what is too cheap to be true even less
  const isAlternative = (each: ValuedLead) =>
    each.lead.state === 'open' &&
    each.lead.manner !== 'auction' &&
    each.lead.condition !== 'damaged' &&
    !isTooCheap(each.value.ask, warnBelow(market, each, today, build.currency))
  const rivals = valued
    .filter((each) => each.lead.id !== leadId && keptOf(each) === keptOf(own) && isAlternative(each))
    .sort((a, b) => a.value.expectedAfterResale - b.value.expectedAfterResale)
  return { build, market, today, own, valued, cheapest: rivals[0], log }
}

/** The sheet of a lead as it is known now, or would be if more were known of it. */
export function sheetOf(
  { build, market, today, cheapest, log }: Haggled,
  own: ValuedLead,
): Pick<HaggleView, 'ask' | 'askedBy' | 'alternative' | 'patient' | keyof HaggleSheet> {
  const counter = log.filter((each) => each.by === 'seller' && each.amount !== null).at(-1)
  const ask = counter?.amount ?? own.lead.price
  const others = otherWays(own, market, build, today)
  if (cheapest)
    others.push({
      amount: cheapest.value.expectedAfterResale,
      what: cheapest.lead.title,
      leadId: cheapest.lead.id,
    })
  const alternative = others.sort((a, b) => a.amount - b.amount)[0] ?? null
  const atMarks = patientOf(own, market, build.currency, today)
  const otherLead = cheapest?.value.expectedAfterResale
  const patient =
    atMarks === null || otherLead === undefined ? (otherLead ?? atMarks) : Math.min(atMarks, otherLead)
  return {
    ask,
    askedBy: counter ? 'counter-offer' : 'listing',
    alternative,
    patient,
    ...haggleSheet({
      ask,
      unit: moneySize(own.lead.currency),
      lowestOpening: market.assumptions.resale.lowestOpening,
      alternative: alternative?.amount ?? null,
      costAt: (price) => own.revalue(price).expectedAfterResale,
      patient,
    }),
  }
}

/** The haggle sheet of a lead for a build, with what was said so far. Calculated again from the seller's last word. */
export async function haggleView(
  db: Database,
  buildId: string,
  leadId: string,
  today: string,
): Promise<HaggleView> {
  const read = await haggled(db, buildId, leadId, today)
  const { build, market, own, valued, log } = read
  const sheet = sheetOf(read, own)
  const { ask, alternative } = sheet
  const asks = (await asksOf(db, [leadId])).get(leadId) ?? []
  return {
    leadId,
    currency: own.lead.currency,
    ...sheet,
    costAtAsk: own.revalue(ask).expectedAfterResale,
    buildCurrency: build.currency,
    asks,
    log,
    combinations: await standingTogether(db, valued, build, market, today),
    bids: alternative && bidsOf(own, valued, { market, build, today, otherwise: alternative.amount }),
  }
}

/** What the kept things of a lead would cost at their patient marks, as complete as these are; null where one has none. */
function patientOf(
  { lead, value }: ValuedLead,
  market: Market,
  currency: string,
  today: string,
): number | null {
  let sum = 0
  for (const [index, { partId, quantity, plan }] of lead.things.entries()) {
    if (plan !== 'keep') continue
    const mark = streetAt(market, partId, today, currency, 'patient')
    if (mark === null) return null
    sum += roundHalfAway(mark * quantity * value.worthShares[index]!)
  }
  return sum
}

/** What else the kept things could be had for than from a lead: at the street, and a single one in a shop. */
function otherWays(
  { value, lead }: ValuedLead,
  market: Market,
  build: BuildRow,
  today: string,
): NonNullable<HaggleView['alternative']>[] {
  const kept = lead.things.filter((thing) => thing.plan === 'keep')
  const [only] = kept
  const isSingle = kept.length === 1 && only!.quantity === 1
  const [shop] = isSingle
    ? newOffers(market, only!.partId, build.currency, today).filter((offer) => offer.leadId === null)
    : []
  return [
    ...(value.street === null
      ? []
      : [{ amount: value.street, what: 'street price at your patience', leadId: null }]),
    ...(shop ? [{ amount: shop.landed, what: `new at ${shop.sourceName}`, leadId: null }] : []),
  ]
}

/** Parts a lead keeps, as one text: leads that keep the same are each other's alternative. */
function keptOf({ lead }: ValuedLead): string {
  return lead.things
    .filter((thing) => thing.plan === 'keep')
    .flatMap((thing) => Array.from({ length: thing.quantity }, () => thing.partId))
    .sort()
    .join(' ')
}

/**
 * My offers that stand with several sellers, and which of them what is left can bear together. What a seller has asked
 * since is what it would cost; what is in the build already is in what is left.
 */
async function standingTogether(
  db: Database,
  valued: readonly ValuedLead[],
  build: { id: string; houseRules: HouseRules },
  market: Market,
  today: string,
): Promise<HaggleView['combinations']> {
  const said = await db.select().from(offers).where(isNull(offers.deletedAt)).orderBy(offers.day, offers.id)
  const figures = said.filter((each) => each.amount !== null)
  const mine = new Set(figures.filter((each) => each.by === 'me').map((each) => each.leadId))
  const newest = new Map(figures.filter((each) => mine.has(each.leadId)).map((each) => [each.leadId, each]))
  // a seller who has owed a word for too long is not counted on
  const answerDays = build.houseRules.answerDays ?? market.assumptions.risk.answerDays
  const isSilent = (each: ValuedLead) =>
    (daysWaiting(
      each.lead.askedOn,
      said.filter((offer) => offer.leadId === each.lead.id),
      today,
    ) ?? 0) >= answerDays
  const standing = valued.filter(
    (each) => newest.has(each.lead.id) && each.lead.state === 'open' && !isSilent(each),
  )
  if (standing.length < 2) return []
  const { receipt, choices } = await buildView(db, build.id, today)
  // what is chosen stands in what is left already, at another price
  const inLeft = choices
    .filter((choice) => standing.some((each) => each.lead.id === choice.leadId))
    .reduce((sum, choice) => sum + (choice.payNow ?? 0), 0)
  const titles = new Map(standing.map((each) => [each.lead.id, each.lead.title]))
  return affordableCombinations(
    standing.map((each) => ({
      id: each.lead.id,
      cost: each.revalue(newest.get(each.lead.id)!.amount!).payNow,
      worth: each.value.street ?? 0,
    })),
    Math.max(0, (receipt.left ?? 0) + inLeft),
  )
    .slice(0, 6)
    .map(({ ids, ...rest }) => ({ ...rest, titles: ids.map((id) => titles.get(id)!) }))
}

/** Notes who said what. A word without a figure is a note. */
export async function noteOffer(
  db: Queryable,
  leadId: string,
  { by, amount, day, note }: InferType<typeof offerSchema>,
  today: string,
): Promise<string> {
  const [lead] = await db.select().from(leads).where(eq(leads.id, leadId))
  if (!lead) throw new NotFoundError('lead', leadId)
  if (day > today) throw new CoreError('future-date', { day }, 'day')
  if (amount === null && note.trim() === '') throw new CoreError('nothing-said', {}, 'amount')
  // offers of one day stay in the order in which they were made
  const [{ count }] = (await db.select({ count: sql<number>`count(*)` }).from(offers)) as [{ count: number }]
  const id = `${String(count).padStart(8, '0')}-${newId(by)}`
  await db.insert(offers).values({
    id,
    leadId,
    by,
    amount: amount === null ? null : parseDecimal(amount, lead.currency, 'amount'),
    day,
    note,
  })
  return id
}

export async function setOfferDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(offers).set({ deletedAt }).where(eq(offers.id, id))
  if (rowsAffected === 0) throw new NotFoundError('offer', id)
}
