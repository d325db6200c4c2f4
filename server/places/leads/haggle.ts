import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { haggleSheet } from '#core/supply/haggle/haggleSheet'
import { affordableCombinations } from '#core/supply/haggle/openOffers'
import { isTooCheap } from '#core/supply/risk/tooCheap'
import { parseDecimal } from '#core/money/decimal'
import { moneySize } from '#core/assumptions/moneySize'
import { convertBack, rateTable } from '#core/money/rates'
import type { offerSchema } from '#shared/leads/schemas'
import { daysWaiting } from '#core/supply/risk/silence'
import type { HouseRules } from '#shared/brief/houseRules'
import type { HaggleView } from '#shared/leads/views'
import type { Database } from '#server/db/client'
import { leads, offers } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { asksOf } from './leadAsks'
import { newId } from '#server/db/ids'
import { valuedLeads, type ValuedLead } from '#server/context/valuedLeads'
import { warnBelow } from './readLeads'
import { useMarket, type Market } from '#server/context/market'
import { buildView } from '../builds/buildView'
import { findBuild } from '#server/context/findBuild'

/** The haggle sheet of a lead for a build, with what was said so far. Calculated anew from the seller's last word. */
export async function haggleView(
  db: Database,
  buildId: string,
  leadId: string,
  today: string,
): Promise<HaggleView> {
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
  const valued = await valuedLeads(db, market, build, today, [...new Set([...openIds, leadId])])
  const own = valued.find((each) => each.lead.id === leadId)
  if (!own) throw new NotFoundError(`there is no lead "${leadId}"`)
  const log = await db
    .select()
    .from(offers)
    .where(and(eq(offers.leadId, leadId), isNull(offers.deletedAt)))
    .orderBy(offers.day, offers.id)
  const rate = rateTable(market.rates).rateOn(today, own.lead.currency, build.currency)
  const counter = log.filter((each) => each.by === 'seller' && each.amount !== null).at(-1)
  const ask = counter?.amount ?? own.lead.price
  // a bid may still rise, a broken thing is no alternative, and what is too cheap to be true even less
  const isAlternative = (each: ValuedLead) =>
    each.lead.state === 'open' &&
    each.lead.manner !== 'auction' &&
    each.lead.condition !== 'damaged' &&
    !isTooCheap(each.value.ask, warnBelow(market, each, today, build.currency))
  const rivals = valued
    .filter((each) => each.lead.id !== leadId && keptOf(each) === keptOf(own) && isAlternative(each))
    .sort((a, b) => a.value.expectedAfterResale - b.value.expectedAfterResale)
  const cheapest = rivals[0]
  const street = own.value.street
  const useLead = cheapest !== undefined && (street === null || cheapest.value.expectedAfterResale < street)
  const alternative = useLead ? cheapest.value.expectedAfterResale : street
  const sheet = haggleSheet({
    ask,
    unit: moneySize(own.lead.currency),
    lowestOpening: market.assumptions.resale.lowestOpening,
    alternative,
    costAt: (price) => own.revalue(price).expectedAfterResale,
    street: street === null ? null : inLead(street, own, rate, build.currency),
  })
  const asks = (await asksOf(db, [leadId])).get(leadId) ?? []
  return {
    leadId,
    currency: own.lead.currency,
    ask,
    askedBy: counter ? 'counter-offer' : 'listing',
    ...sheet,
    costAtAsk: own.revalue(ask).expectedAfterResale,
    buildCurrency: build.currency,
    alternative:
      alternative === null
        ? null
        : {
            amount: alternative,
            what: useLead ? cheapest.lead.title : 'street price at your patience',
            leadId: useLead ? cheapest.lead.id : null,
          },
    street: street === null ? null : inLead(street, own, rate, build.currency),
    asks,
    log,
    combinations: await standingTogether(db, valued, build, market, today),
  }
}

/** Parts a lead keeps, as one text: leads that keep the same are each other's alternative. */
function keptOf({ lead }: ValuedLead): string {
  return lead.things
    .filter((thing) => thing.plan === 'keep')
    .flatMap((thing) => Array.from({ length: thing.quantity }, () => thing.partId))
    .sort()
    .join(' ')
}

function inLead(amount: number, { lead }: ValuedLead, rate: string | number, buildCurrency: string): number {
  return lead.currency === buildCurrency ? amount : convertBack(amount, lead.currency, buildCurrency, rate)
}

/** My offers that stand with several sellers, and which of them what is left can bear together. */
async function standingTogether(
  db: Database,
  valued: readonly ValuedLead[],
  build: { id: string; houseRules: HouseRules },
  market: Market,
  today: string,
): Promise<HaggleView['combinations']> {
  const said = await db.select().from(offers).where(isNull(offers.deletedAt)).orderBy(offers.day, offers.id)
  const mine = said.filter((each) => each.by === 'me')
  const newest = new Map(mine.filter((each) => each.amount !== null).map((each) => [each.leadId, each]))
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
  const { receipt } = await buildView(db, build.id, today)
  const titles = new Map(standing.map((each) => [each.lead.id, each.lead.title]))
  return affordableCombinations(
    standing.map((each) => ({
      id: each.lead.id,
      cost: each.revalue(newest.get(each.lead.id)!.amount!).payNow,
      worth: each.value.street ?? 0,
    })),
    Math.max(0, receipt.left ?? 0),
  )
    .slice(0, 6)
    .map(({ ids, ...rest }) => ({ ...rest, titles: ids.map((id) => titles.get(id)!) }))
}

/** Notes who said what. A word without a figure is a note. */
export async function noteOffer(
  db: Database,
  leadId: string,
  { by, amount, day, note }: InferType<typeof offerSchema>,
  today: string,
): Promise<string> {
  const [lead] = await db.select().from(leads).where(eq(leads.id, leadId))
  if (!lead) throw new NotFoundError(`there is no lead "${leadId}"`)
  if (day > today) throw new CoreError('bad-date', `${day} is in the future`, 'day')
  if (amount === null && note.trim() === '')
    throw new CoreError('nothing-said', 'write a figure or a note', 'amount')
  // offers of one day stay in the order in which they were made
  const count = await db.$count(offers)
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
  if (rowsAffected === 0) throw new NotFoundError(`there is no offer "${id}"`)
}
