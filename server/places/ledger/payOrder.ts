import { and, eq, inArray, isNull, ne, or, isNotNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { itemCosts } from '#core/ledger/itemCosts'
import { assertItemCan } from '#core/ledger/itemLife'
import { parseDecimal } from '#core/money/decimal'
import { convertAmount, rateTable } from '#core/money/rates'
import { splitByLargestRemainder } from '#core/money/splitByLargestRemainder'
import { partLabel, type Part } from '#core/parts/part'
import type { orderPaymentSchema } from '#shared/ledger/schemas'
import type { BuildView } from '#shared/builds/views'
import type { SourceCode } from '#shared/sources/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { newId } from '#server/db/ids'
import { builds } from '#server/db/schema/builds'
import { codes, leads } from '#server/db/schema/leads'
import { choices } from '#server/db/schema/machine'
import { sources } from '#server/db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { assertCalculable } from '#server/context/assertCalculable'
import type { BuildRow } from '#server/context/findBuild'
import { streetAt, useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { openOrders, plannedLeads, sharesOfOrders, type ChoiceRow } from '#server/context/openOrders'
import { newOffers } from '#server/context/newOffers'
import { huntPrice, huntsNew, thingKey } from '#server/context/readChoice'
import { valuedLeads, type ValuedLead } from '#server/context/valuedLeads'
import { anyonePrices } from '#server/context/anyone'
import { freezeForecasts } from '../bench/forecasts'
import { buildView } from '../builds/buildView'
import { makeTheBuild } from '../builds/variants'
import { findItem, leavesTradedIn } from './itemSteps'
import { writeEntry } from './ledgerEntries'
import { voidChoices } from './voidChoices'

/** A choice to be paid, with what it stands for and what it costs in this very order. */
interface ToPay {
  readonly row: ChoiceRow
  readonly build: BuildRow
  readonly valued: ValuedLead | null
  readonly part: Part | null
  /** Minor units of the build's currency; null where no price is known. */
  readonly computed: number | null
  readonly fault: number
}

/**
 * Pays a planned order, or some whole lines of it: one order with a line for each choice, and one item for each thing.
 * Lines that are not paid stay planned and are computed again. An amount that is given stands for what was computed.
 *
 * @returns the builds that paid
 */
export async function payOrder(
  db: Database,
  { choiceIds, day, total, amounts = [] }: InferType<typeof orderPaymentSchema>,
  today: string,
): Promise<string[]> {
  const ids = [...new Set(choiceIds as string[])]
  const market = await useMarket(db)
  const buildIds = new Set<string>()
  const views = new Map<string, BuildView>()
  for (const { build } of await chosen(db, ids))
    if (build.variantOf === null) views.set(build.id, await buildView(db, build.id, today))
  await act(db, { kind: 'pay', text: 'an order paid', day, buildId: null }, today, async (action) => {
    await makeVariantsTheBuild(action, ids)
    const rows = await chosen(action.tx, ids)
    refuseMixed(rows)
    const toPay = await computed(db, market, rows, today)
    const paid = amountsPaid(toPay, total ?? null, amounts as { choiceId: string; amount: string }[])
    await placeOrder(action, market, toPay, paid)
    for (const { build, part, valued } of toPay) {
      buildIds.add(build.id)
      const view = views.get(build.id)
      if (view && decidesFrames(market, part, valued)) await freezeForecasts(action.tx, view, day)
      await assertCalculable(action.tx, build.id, today, 'choiceIds')
    }
    const labels = toPay.map((each) => labelOf(market, each)).join(', ')
    await action.name(`paid: ${labels}`.slice(0, 200), toPay[0]!.build.id)
  })
  return [...buildIds]
}

async function chosen(tx: Pick<Queryable, 'select'>, ids: readonly string[]) {
  const rows = await tx
    .select({ row: choices, build: builds })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(and(inArray(choices.id, [...ids]), isNull(builds.deletedAt)))
    .orderBy(choices.position)
  for (const id of ids) {
    const found = rows.find(({ row }) => row.id === id)
    if (!found) throw new NotFoundError('choice', id)
    const { row, build } = found
    if (row.lineId !== null) throw new CoreError('paid', {}, 'choiceIds')
    if (row.deletedAt !== null) throw new NotFoundError('choice', id)
    if (row.voidBecause !== null) throw new CoreError('void', {}, 'choiceIds')
    if (row.kind === 'item') throw new CoreError('owned', {}, 'choiceIds')
    if (build.state === 'sold' || build.state === 'apart')
      throw new CoreError('over-for-buying', { name: build.name, state: build.state }, 'choiceIds')
  }
  return rows
}

/** Paying in a variant makes it the build first: a variant holds no money. */
async function makeVariantsTheBuild(action: OpenAction, ids: readonly string[]): Promise<void> {
  for (const { build } of await chosen(action.tx, ids))
    if (build.variantOf !== null) await makeTheBuild(action, build)
}

/** One order is from one source in one currency; a hunt that came in is an order of its own. */
function refuseMixed(rows: readonly { row: ChoiceRow }[]): void {
  if (rows.length > 1 && rows.some(({ row }) => row.kind !== 'lead'))
    throw new CoreError('hunt-in-order', {}, 'choiceIds')
}

async function computed(
  db: Database,
  market: Market,
  rows: readonly { row: ChoiceRow; build: BuildRow }[],
  today: string,
): Promise<ToPay[]> {
  const library = new Map(market.library.map((part) => [part.id, part]))
  const byBuild = new Map(rows.map(({ build }) => [build.id, build]))
  const valuedOf = new Map<string, ValuedLead>()
  for (const build of byBuild.values()) {
    const own = rows.filter((each) => each.build.id === build.id).flatMap(({ row }) => row.leadId ?? [])
    for (const valued of await valuedLeads(db, build, today, own))
      valuedOf.set(`${build.id} ${valued.lead.id}`, valued)
  }
  const planned = rows.flatMap(({ row, build }) =>
    plannedLeads(
      build,
      [row],
      [...valuedOf].filter(([key]) => key.startsWith(`${build.id} `)).map(([, each]) => each),
    ),
  )
  if (new Set(planned.map(({ valued }) => `${valued.lead.sourceId} ${valued.lead.currency}`)).size > 1)
    throw new CoreError('several-orders', {}, 'choiceIds')
  for (const { valued } of planned)
    if (valued.lead.state !== 'open')
      throw new CoreError('not-open', { title: valued.lead.title, state: valued.lead.state }, 'choiceIds')
  const shares = sharesOfOrders(openOrders(planned), market.rates, today)
  return rows.map(({ row, build }): ToPay => {
    const valued = row.leadId === null ? null : valuedOf.get(`${build.id} ${row.leadId}`)!
    const part = row.partId === null ? null : library.get(row.partId)!
    if (valued) {
      const { payNow, expected } = shares.get(row.id)!
      return {
        row,
        build,
        valued,
        part,
        computed: payNow,
        fault: expected - payNow + valued.value.rebatesExpected,
      }
    }
    return {
      row,
      build,
      valued,
      part,
      computed: row.limit ?? huntPrice(market, build, part!, today, row.condition),
      fault: 0,
    }
  })
}

/** What was paid for each line: as given line by line, or the whole shared out as computed, or as computed. */
function amountsPaid(
  toPay: readonly ToPay[],
  total: string | null,
  amounts: readonly { choiceId: string; amount: string }[],
): number[] {
  if (total !== null) {
    const [{ build }] = toPay as [ToPay]
    if (toPay.some((each) => each.build.currency !== build.currency))
      throw new CoreError('several-currencies', {}, 'total')
    return splitByLargestRemainder(
      parseDecimal(total, build.currency, 'total'),
      toPay.map((each) => Math.max(0, each.computed ?? 0)),
    )
  }
  return toPay.map(({ row, build, computed: usual }) => {
    const index = amounts.findIndex((each) => each.choiceId === row.id)
    const given = amounts[index]
    if (given) return parseDecimal(given.amount, build.currency, `amounts[${index}].amount`)
    if (usual === null) throw new CoreError('no-price-paid', {}, 'amounts')
    return usual
  })
}

async function placeOrder(
  action: OpenAction,
  market: Market,
  toPay: readonly ToPay[],
  paid: readonly number[],
): Promise<void> {
  const [first] = toPay as [ToPay]
  const currency = first.valued?.lead.currency ?? first.build.currency
  const table = rateTable(market.rates)
  const inOrder = (amount: number, from: string) =>
    from === currency
      ? amount
      : convertAmount(amount, from, currency, table.rateOn(action.day, from, currency))
  const orderId = newId('order')
  await action.insert('orders', {
    id: orderId,
    sourceId: first.valued?.lead.sourceId ?? shopOf(market, first, action.day),
    day: action.day,
    paid: toPay.reduce((sum, { build }, index) => sum + inOrder(paid[index]!, build.currency), 0),
    currency,
  })
  for (const [index, each] of toPay.entries())
    await placeLine(action, market, orderId, each, paid[index]!, inOrder(paid[index]!, each.build.currency))
  await spendCodes(action, toPay)
}

/** Where a hunt for a new thing ends: the shop that has it cheapest; null where it was used. */
function shopOf(market: Market, { row, build, part }: ToPay, today: string): string | null {
  if (!part || !huntsNew(market, build, part, row.condition, today)) return null
  return newOffers(market, part.id, build.currency, today)[0]?.sourceId ?? null
}

/** A line of the order, its items, its entry, its rebates; the choice is one no more, and its lead is bought. */
async function placeLine(
  action: OpenAction,
  market: Market,
  orderId: string,
  toPay: ToPay,
  booked: number,
  paid: number,
): Promise<void> {
  const { row, build, valued } = toPay
  const lineId = newId('line')
  const label = labelOf(market, toPay)
  await action.insert('orderLines', {
    id: lineId,
    orderId,
    buildId: build.id,
    leadId: row.leadId,
    label,
    reason: row.reason,
    paid,
    booked,
  })
  const came = await insertItems(action, market, toPay, lineId, booked)
  await keepDifferences(action, row, came)
  await writeEntry(
    action.tx,
    {
      buildId: build.id,
      day: action.day,
      kind: 'bought',
      cash: 0 - booked,
      scope: row.scope,
      lineId,
      text: label,
      actionId: action.id,
    },
    action.today,
  )
  await action.update('choices', row.id, { deletedAt: action.day, lineId })
  if (!valued) return
  for (const rebate of valued.rebates.filter((each) => !valued.beyond.has(each.id)))
    await action.insert('rebates', { ...rebate, id: newId('rebate'), lineId })
  await tradeIn(action, valued)
  if (isOne(valued)) await takeLead(action, row, valued)
}

/** The old thing goes to the seller: its credit is in what was paid, and no entry of its own. */
async function tradeIn(action: OpenAction, { lead }: ValuedLead): Promise<void> {
  if (lead.tillItemId === null) return
  const { item, name } = await findItem(action.tx, lead.tillItemId)
  assertItemCan('tradeIn', item, name, 'choiceIds')
  await action.update('items', item.id, leavesTradedIn(action.day))
}

/** One of it: bought for this build, its twins are gone, and choices of it elsewhere are void. */
async function takeLead(action: OpenAction, row: ChoiceRow, { lead }: ValuedLead): Promise<void> {
  await action.update('leads', lead.id, { state: 'bought' })
  await voidChoices(action, lead.id, 'bought', row.id)
  const root = lead.twinOf ?? lead.id
  const twins = await action.tx
    .select({ id: leads.id })
    .from(leads)
    .where(
      and(or(eq(leads.twinOf, root), eq(leads.id, root)), ne(leads.id, lead.id), eq(leads.state, 'open')),
    )
  for (const { id } of twins) {
    await action.update('leads', id, { state: 'gone', vanishedOn: action.day })
    await voidChoices(action, id, 'gone')
  }
}

/** Whether there is one of it: listings and auctions, unless said otherwise; shops have many. */
function isOne({ lead, source }: Pick<ValuedLead, 'lead' | 'source'>): boolean {
  return (
    (lead.stock ?? (source.kind === 'classifieds' || source.kind === 'auction' ? 'one' : 'many')) === 'one'
  )
}

/** A code of one use is spent by the first part of an order that uses it, whether it is a lead's or the source's. */
async function spendCodes(action: OpenAction, toPay: readonly ToPay[]): Promise<void> {
  const leadIds = toPay.flatMap(({ row }) => row.leadId ?? [])
  if (leadIds.length === 0) return
  const used = new Set(toPay.flatMap(({ valued }) => valued?.value.landed.codesUsed ?? []))
  const rows = await action.tx
    .select()
    .from(codes)
    .where(and(inArray(codes.leadId, leadIds), eq(codes.once, true)))
  for (const { valued } of toPay) await spendSourceCodes(action, valued!.source.id, used)
  for (const code of rows)
    if (used.has(code.word) && code.usedOn === null) {
      const same = await action.tx
        .select({ id: codes.id })
        .from(codes)
        .where(and(eq(codes.word, code.word), isNull(codes.usedOn)))
      for (const { id } of same) await action.update('codes', id, { usedOn: action.day })
    }
}

async function spendSourceCodes(
  action: OpenAction,
  sourceId: string,
  used: ReadonlySet<string>,
): Promise<void> {
  const [source] = await action.tx.select().from(sources).where(eq(sources.id, sourceId))
  const isSpent = (code: SourceCode) => code.once && code.usedOn === null && used.has(code.word)
  if (source!.codes.some(isSpent))
    await action.update('sources', sourceId, {
      codes: source!.codes.map((code) => (isSpent(code) ? { ...code, usedOn: action.day } : code)),
    })
}

/** One item for each thing: what is kept takes its role, what is not comes to the shelf. */
async function insertItems(
  action: OpenAction,
  market: Market,
  { row, build, valued, part, fault }: ToPay,
  lineId: string,
  booked: number,
): Promise<Came[]> {
  const { currency, houseRules } = build
  const library = new Map(market.library.map((each) => [each.id, each]))
  const street = (partId: string) => streetAt(market, partId, action.day, currency, houseRules.patience)
  const pieces = valued
    ? valued.lead.things.flatMap((thing, index) =>
        Array.from({ length: thing.quantity }, () => ({
          part: library.get(thing.partId)!,
          plan: thing.plan,
          worth:
            thing.plan === 'resell'
              ? Math.floor(valued.value.split.things[index]!.netResale.amount / thing.quantity)
              : (street(thing.partId) ?? 0),
        })),
      )
    : [{ part: part!, plan: 'keep' as const, worth: 0 }]
  const costs = itemCosts(booked, pieces)
  const kept = pieces.filter((piece) => piece.plan === 'keep')
  const faults = splitByLargestRemainder(
    fault,
    kept.map((piece) => piece.worth),
  )
  const condition =
    valued?.lead.condition ?? (huntsNew(market, build, part!, row.condition, action.day) ? 'new' : 'used')
  const anyone = anyonePrices(
    market,
    build,
    kept.map((piece, index) => ({
      id: thingKey(row.id, index),
      part: piece.part,
      isNew: condition === 'new',
    })),
    action.day,
  )
  const left = [...row.leftOut]
  const came: Came[] = []
  let keptAt = 0
  for (const [index, piece] of pieces.entries()) {
    const at = piece.plan === 'keep' ? keptAt++ : -1
    const out = piece.part.role === 'donor' ? -1 : left.indexOf(piece.part.id)
    if (out >= 0) left.splice(out, 1)
    const id = newId(piece.part.id)
    came.push({ id, partId: piece.part.id })
    await action.insert('items', {
      id,
      partId: piece.part.id,
      condition,
      place: 'ordered',
      state: 'unseen',
      buildId: build.id,
      payerId: build.id,
      lineId,
      scope: row.scope,
      plan: piece.plan,
      isBuiltIn: piece.plan === 'keep' && out < 0,
      leftOut: piece.part.role === 'donor' ? row.leftOut : [],
      reason: row.reason,
      currency,
      cost: costs[index]!,
      remaining: costs[index]!,
      anyoneCanPay: at < 0 ? null : (anyone.get(thingKey(row.id, at)) ?? null),
      faultLoss: at < 0 ? 0 : (faults[at] ?? 0),
    })
  }
  return came
}

/** A thing that a paid choice brought. */
interface Came {
  readonly id: string
  readonly partId: string
}

/**
 * Variants that did without the choice do without its things; where one has it otherwise, without what it left out of
 * it. What differs is a thing, not the way it was to be got.
 */
async function keepDifferences(
  action: OpenAction,
  { id, kind, leadId, partId }: ChoiceRow,
  came: readonly Came[],
): Promise<void> {
  const variants = await action.tx.select().from(builds).where(isNotNull(builds.variantOf))
  for (const { id: variant, dropped } of variants) {
    if (!dropped.includes(id)) continue
    const own = await action.tx
      .select()
      .from(choices)
      .where(and(eq(choices.buildId, variant), eq(choices.kind, kind), isNull(choices.deletedAt)))
    const copy = own.find((each) => each.leadId === leadId && each.partId === partId)
    const left = copy && [...copy.leftOut]
    const isOut = ({ partId: thing }: Came) => {
      if (!left) return true
      const at = left.indexOf(thing)
      if (at >= 0) left.splice(at, 1)
      return at >= 0
    }
    await action.update('builds', variant, {
      dropped: [...dropped, ...came.filter(isOut).map((each) => each.id)],
    })
    if (copy) await action.update('choices', copy.id, { deletedAt: action.day })
  }
}

function labelOf(market: Market, { valued, part }: ToPay): string {
  if (part) return partLabel(part)
  const kept = valued!.lead.things.filter((thing) => thing.plan === 'keep')
  const only = kept.length === 1 ? market.library.find((each) => each.id === kept[0]!.partId) : undefined
  return only ? partLabel(only) : valued!.lead.title
}

function decidesFrames(market: Market, part: Part | null, valued: ValuedLead | null): boolean {
  const bought = part ? [part.id] : (valued?.lead.things ?? []).map((thing) => thing.partId)
  return market.library.some(
    ({ id, role }) => bought.includes(id) && (role === 'cpu' || role === 'graphics' || role === 'donor'),
  )
}
