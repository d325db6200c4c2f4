import { eq, sql } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import type { Receipt } from '#core/ledger/receipt'
import { haggleSheet, type HaggleSheet } from '#core/supply/haggle/haggleSheet'
import { affordableCombinations } from '#core/supply/haggle/openOffers'
import { otherWays } from '#core/supply/haggle/otherWays'
import { isTooCheap } from '#core/supply/risk/tooCheap'
import type { Way } from '#core/supply/ways/way'
import { parseDecimal } from '#core/money/decimal'
import { moneySize } from '#core/assumptions/moneySize'
import { rateTable } from '#core/money/rates'
import { compareText } from '#core/text/compareText'
import type { Change } from '#core/whatif/change'
import type { offerSchema } from '#shared/leads/schemas'
import { daysWaiting } from '#core/supply/risk/silence'
import type { HaggleView } from '#shared/leads/views'
import type { Database, Queryable } from '#server/db/client'
import { leads, offers } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { choicesOf } from '#server/context/choicesOf'
import { buildRow, type BuildRow } from '#server/context/findBuild'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { leadsValued, type ValuedLead } from '#server/context/valuedLeads'
import { waysOf, wayWords } from '#server/context/waysToGet'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { newIn, whatIf } from '#server/whatif/whatIf'
import { bidsOf } from './bids'
import { asksOfLead } from './leadAsks'
import { leadCosts } from './leadCost'
import { warnBelow } from './readLeads'

/** What a haggle sheet is worked out from: the lead, what it is held against, and what was said so far. */
interface Haggled {
  readonly build: BuildRow
  readonly market: Market
  readonly own: ValuedLead
  readonly valued: readonly ValuedLead[]
  /** What a lead adds to the build at a price. */
  readonly costOf: ReturnType<typeof leadCosts>
  /** The cheapest other lead of the same parts, and what it takes. */
  readonly cheapest: { readonly lead: ValuedLead['lead']; readonly amount: number } | undefined
  /** Every way to get its things but this lead. */
  readonly ways: readonly Way[]
  readonly log: readonly (typeof offers.$inferSelect)[]
}

export function haggled(world: World, buildId: string, leadId: string, today: string): Haggled {
  const build = buildRow(world, buildId)
  const market = marketOf(world)
  const rates = rateTable(market.rates)
  const openIds = world.rows.leads
    .where('state', 'open')
    .filter(
      ({ id, deletedAt, vanishedOn, currency }) =>
        deletedAt === null &&
        vanishedOn === null &&
        (id === leadId || rates.find(today, currency, build.currency) !== null),
    )
    .map(({ id }) => id)
  const valued = leadsValued(world, build, today, [...openIds, leadId])
  const own = valued.find((each) => each.lead.id === leadId)
  if (!own || own.lead.deletedAt !== null) throw new NotFoundError('lead', leadId)
  const log = world.rows.offers
    .where('leadId', leadId)
    .filter(({ deletedAt }) => deletedAt === null)
    .sort((a, b) => compareText(a.day, b.day) || compareText(a.id, b.id))
  // a bid may still rise, a broken thing is no alternative, and what is too cheap to be true even less
  const isAlternative = (each: ValuedLead) =>
    each.lead.state === 'open' &&
    each.lead.manner !== 'auction' &&
    each.lead.condition !== 'damaged' &&
    !isTooCheap(each.value.ask, warnBelow(market, each, today, build.currency))
  const costOf = leadCosts(world, build, today)
  const [cheapest] = valued
    .filter((each) => each.lead.id !== leadId && keptOf(each) === keptOf(own) && isAlternative(each))
    .map((each) => ({ lead: each.lead, amount: costOf(each)(each.lead.price) }))
    .sort((a, b) => a.amount - b.amount)
  const chosen = choicesOf(world, build).flatMap((choice) => choice.leadId ?? [])
  const wanted = new Set(own.lead.things.map(({ partId }) => partId))
  const byId = new Map(valued.map((each) => [each.lead.id, each]))
  const ways = waysOf(world, buildId, today, new Set([...chosen, leadId]))
    .filter(({ part }) => wanted.has(part.id))
    .map((way): Way => {
      const other = byId.get(way.leadId ?? '')
      return other ? { ...way, expected: costOf(other)(other.lead.price) } : way
    })
  return { build, market, own, valued, costOf, cheapest, ways, log }
}

/** The sheet of a lead as it is known now, or would be if more were known of it. */
export function sheetOf(
  { build, market, costOf, cheapest, ways, log }: Haggled,
  own: ValuedLead,
): Pick<HaggleView, 'ask' | 'askedBy' | 'alternative' | 'patient' | 'costAtAsk' | keyof HaggleSheet> {
  const counter = log.filter((each) => each.by === 'seller' && each.amount !== null).at(-1)
  const ask = counter?.amount ?? own.lead.price
  const costAt = costOf(own)
  const wanted = own.lead.things.flatMap(({ partId, quantity, plan }, index) =>
    plan === 'keep' ? [{ partId, quantity, share: own.value.worthShares[index]! }] : [],
  )
  const patience = build.houseRules.patience ?? 'typical'
  const single = otherWays(
    wanted,
    ways.filter(({ mark }) => mark === null || mark === patience),
  )
  const alternatives = [
    ...(cheapest ? [{ amount: cheapest.amount, what: cheapest.lead.title, leadId: cheapest.lead.id }] : []),
    ...(single ? [{ amount: single.amount, ...singleWords(single.ways) }] : []),
  ]
  const alternative = alternatives.sort((a, b) => a.amount - b.amount)[0] ?? null
  const atMarks = otherWays(
    wanted,
    ways.filter(({ mark }) => mark === 'patient'),
  )
  const amounts = [atMarks?.amount, cheapest?.amount].filter((amount) => amount !== undefined)
  const patient = amounts.length === 0 ? null : Math.min(...amounts)
  return {
    ask,
    askedBy: counter ? 'counter-offer' : 'listing',
    alternative,
    patient,
    costAtAsk: costAt(ask),
    ...haggleSheet({
      ask,
      unit: moneySize(own.lead.currency),
      lowestOpening: market.assumptions.resale.lowestOpening,
      alternative: alternative?.amount ?? null,
      costAt,
      patient,
    }),
  }
}

/** Ways to get things one by one, in words, and the lead where it is one. */
function singleWords(ways: readonly Way[]): { readonly what: string; readonly leadId: string | null } {
  if (ways.every(({ kind }) => kind === 'hunt'))
    return { what: 'street price at your patience', leadId: null }
  const [only, ...more] = ways
  return only && more.length === 0
    ? { what: wayWords(only), leadId: only.leadId }
    : { what: 'its parts one by one', leadId: null }
}

/** The haggle sheet of a lead for a build, with what was said so far. Calculated again from the seller's last word. */
export function haggleOf(world: World, buildId: string, leadId: string, today: string): HaggleView {
  const read = haggled(world, buildId, leadId, today)
  const { build, market, own, valued, log } = read
  const sheet = sheetOf(read, own)
  return {
    leadId,
    currency: own.lead.currency,
    ...sheet,
    buildCurrency: build.currency,
    asks: asksOfLead(world, leadId),
    log,
    combinations: standingTogether(world, read, today),
    bids:
      sheet.alternative && bidsOf(own, valued, { market, build, today, otherwise: sheet.alternative.amount }),
  }
}

export async function haggleView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  leadId: string,
  today: string,
): Promise<HaggleView> {
  return haggleOf(await useWorld(db), buildId, leadId, today)
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
 * My offers that stand with several sellers, and which of them what is left can bear together: each with what the build
 * then comes to. What a seller has asked since is what it would cost. Two for one place are no combination.
 */
function standingTogether(
  world: World,
  { build, market, valued }: Haggled,
  today: string,
): HaggleView['combinations'] {
  const said = world.rows.offers
    .where('deletedAt', null)
    .toSorted((a, b) => compareText(a.day, b.day) || compareText(a.id, b.id))
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
  const chosen = choicesOf(world, build).filter((choice) =>
    standing.some(({ lead }) => lead.id === choice.leadId),
  )
  const out = chosen.map(({ id }): Change => ({ kind: 'remove', choice: id }))
  const offered = standing.map(({ lead, value }) => ({
    id: lead.id,
    title: lead.title,
    worth: value.street,
    price: newest.get(lead.id)!.amount!,
  }))
  return affordableCombinations(offered, (offers) => {
    const prices = offers.map(({ id, price }): Change => ({ kind: 'price', lead: id, amount: price }))
    const taken = offers.map(({ id }): Change => ({ kind: 'choose', lead: id }))
    const changes = [...out, ...prices, ...taken]
    const { after } = whatIf(world, build.id, changes, today)
    const first = out.length + prices.length
    const lines = offers.map((_, at) => newIn(build.id, first + at))
    return after && after.receipt.left !== null
      ? { left: after.receipt.left, payNow: linesOf(after.receipt, lines) }
      : null
  }).map(({ offers, ...rest }) => ({ ...rest, titles: offers.map(({ title }) => title) }))
}

/** What lines of a receipt come to; null where one of them is not there, or not known. */
function linesOf({ groups }: Receipt, ids: readonly string[]): number | null {
  const found = ids.map((id) => groups.toBuy.find((line) => line.id === id)?.payNow ?? null)
  return found.reduce((sum, each) => (sum === null || each === null ? null : sum + each), 0 as number | null)
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
