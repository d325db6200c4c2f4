import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { itemCosts } from '#core/ledger/itemCosts'
import { assertFound, assertItemCan, type ItemStep } from '#core/ledger/itemLife'
import { parseDecimal } from '#core/money/decimal'
import { partLabel } from '#core/parts/part'
import { convertAmount, rateTable } from '#core/money/rates'
import type { itemSteps as stepSchemas } from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { newId } from '#server/db/ids'
import { builds } from '#server/db/schema/builds'
import { leads } from '#server/db/schema/leads'
import { items, orderLines, trips } from '#server/db/schema/ledger'
import { parts } from '#server/db/schema/parts'
import { exchangeRates } from '#server/db/schema/prices'
import { NotFoundError } from '#server/errors/notFoundError'
import { findBuild } from '#server/context/findBuild'
import { streetAt, useMarket } from '#server/context/market'
import { writeEntry } from './ledgerEntries'
import { driven } from './trips'

/** What happens to a thing of mine after it was paid, step by step; each is one action that can be undone. */

type ItemRow = typeof items.$inferSelect
type Input<S extends keyof typeof stepSchemas> = InferType<(typeof stepSchemas)[S]>

export async function findItem(tx: Pick<Queryable, 'select'>, id: string) {
  const [row] = await tx
    .select({ item: items, part: parts })
    .from(items)
    .innerJoin(parts, eq(parts.id, items.partId))
    .where(eq(items.id, id))
  if (!row) throw new NotFoundError('item', id)
  return { ...row, name: partLabel(row.part) }
}

/** Runs a step on a thing where its life allows it. */
async function step(
  db: Database,
  id: string,
  { kind, day, says }: { kind: ItemStep; day: string; says: (name: string) => string },
  today: string,
  work: (action: OpenAction, item: ItemRow, name: string) => Promise<void>,
): Promise<string | null> {
  const { item, name } = await findItem(db, id)
  const buildId = item.buildId ?? item.payerId
  await act(db, { kind, text: says(name), day, buildId }, today, async (action) => {
    const { item: now } = await findItem(action.tx, id)
    assertItemCan(kind, now, name, 'id')
    await work(action, now, name)
  })
  return buildId
}

/** It came: as listed or as another part, with what it lacks or has, working or not. */
export function arrive(db: Database, id: string, input: Input<'arrive'>, today: string) {
  return step(
    db,
    id,
    { kind: 'arrive', day: input.day, says: (name) => `${name} arrived: ${input.state}` },
    today,
    async (action, item) => {
      const found = await foundPart(action.tx, item, input.foundPartId)
      const goesIn = item.plan === 'keep' && item.buildId !== null
      await action.update('items', id, {
        place: goesIn ? 'build' : 'shelf',
        state: input.state,
        isBuiltIn: item.isBuiltIn && goesIn && input.state !== 'dead',
        arrivedOn: input.day,
        checks: (input.checks ?? []) as string[],
        note: input.note,
        returnBy: input.returnBy,
        facts: { ...item.facts, ...(input.facts ?? {}) },
        ...(found === null ? {} : { partId: found, listedPartId: item.partId }),
      })
      if (input.tripDriven) await driveFor(action, item, today)
    },
  )
}

/** Drives the trip that was to fetch a thing, unless it was driven for another one. */
async function driveFor(action: OpenAction, { lineId }: ItemRow, today: string): Promise<void> {
  if (lineId === null) return
  const [row] = await action.tx
    .select({ trip: trips })
    .from(orderLines)
    .innerJoin(leads, eq(leads.id, orderLines.leadId))
    .innerJoin(trips, eq(trips.id, leads.tripId))
    .where(eq(orderLines.id, lineId))
  if (row && row.trip.drivenOn === null && row.trip.deletedAt === null) await driven(action, row.trip, today)
}

async function foundPart(tx: Queryable, item: ItemRow, foundId: string | null): Promise<string | null> {
  if (foundId === null || foundId === item.partId) return null
  const [found] = await tx.select({ role: parts.role }).from(parts).where(eq(parts.id, foundId))
  if (!found) throw new CoreError('unknown-part', { id: foundId }, 'foundPartId')
  const [listed] = await tx.select({ role: parts.role }).from(parts).where(eq(parts.id, item.partId))
  if (found.role !== listed!.role) throw new CoreError('other-role', {}, 'foundPartId')
  return foundId
}

/** It never comes: its seller cancelled, or it was missing; what came back of the money is an entry. */
export function cancel(db: Database, id: string, input: Input<'cancel'>, today: string) {
  const kind = input.missing ? 'miss' : 'cancel'
  return step(
    db,
    id,
    { kind, day: input.day, says: (name) => `${name}: ${input.missing ? 'missing' : 'cancelled'}` },
    today,
    async (action, item, name) => {
      await refundEntry(action, item, input.amount, name)
      await action.update('items', id, {
        place: 'gone',
        goneBecause: input.missing ? 'missing' : 'cancelled',
        leftOn: input.day,
      })
    },
  )
}

/** On its way back, with what is expected for it. */
export function sendBack(db: Database, id: string, input: Input<'send-back'>, today: string) {
  return step(
    db,
    id,
    { kind: 'sendBack', day: input.day, says: (name) => `${name} sent back` },
    today,
    async (action, item) => {
      const expected =
        input.expected === null ? item.remaining : parseDecimal(input.expected, item.currency, 'expected')
      await action.update('items', id, { place: 'returning', expectedBack: expected, leftOn: input.day })
    },
  )
}

/** Money came back: for a thing that went back, which is gone then, or a part of it for one that is kept. */
export function refund(db: Database, id: string, input: Input<'refund'>, today: string) {
  return step(
    db,
    id,
    { kind: input.kept ? 'refundKept' : 'refund', day: input.day, says: (name) => `${name} refunded` },
    today,
    async (action, item, name) => {
      await refundEntry(action, item, input.amount, name)
      if (!input.kept)
        await action.update('items', id, { place: 'gone', goneBecause: 'returned', leftOn: input.day })
    },
  )
}

/** The money stands with the build that paid; the thing costs that much less. */
async function refundEntry(action: OpenAction, item: ItemRow, amount: string, name: string): Promise<void> {
  const cash = parseDecimal(amount, item.currency, 'amount')
  if (item.payerId === null) throw new CoreError('not-bought', {}, 'amount')
  await writeEntry(
    action.tx,
    {
      buildId: item.payerId,
      day: action.day,
      kind: 'refunded',
      cash,
      scope: item.scope,
      lineId: item.lineId,
      itemId: item.id,
      text: name,
      actionId: action.id,
    },
    action.today,
  )
  await action.update('items', item.id, { remaining: item.remaining - cash })
}

/** It was sent back and came back to me. */
export function comeBack(db: Database, id: string, input: Input<'come-back'>, today: string) {
  return step(
    db,
    id,
    { kind: 'comeBack', day: input.day, says: (name) => `${name} returned to you` },
    today,
    (action) => action.update('items', id, { place: 'shelf', expectedBack: 0, leftOn: null }),
  )
}

/** To the shelf, or into a build; into another one it is handed over at its remaining cost, frozen. */
export function move(db: Database, id: string, input: Input<'move'>, today: string) {
  return step(
    db,
    id,
    {
      kind: 'move',
      day: input.day,
      says: (name) => (input.buildId === null ? `${name} moved to the shelf` : `${name} moved`),
    },
    today,
    (action, item) => moveItem(action, item, input.buildId, input.scope),
  )
}

export async function moveItem(
  action: OpenAction,
  item: ItemRow,
  toBuildId: string | null,
  scope: ItemRow['scope'] = item.scope,
): Promise<void> {
  if (toBuildId === null) {
    await action.update('items', item.id, { place: 'shelf', isBuiltIn: false })
    return
  }
  const to = await findBuild(action.tx, toBuildId)
  if (to.variantOf !== null) throw new CoreError('variant-items', {}, 'buildId')
  if (to.state === 'sold') throw new CoreError('sold-build', { name: to.name }, 'buildId')
  if (item.buildId !== toBuildId) await handOver(action, item, to)
  await action.update('items', item.id, {
    place: 'build',
    buildId: toBuildId,
    isBuiltIn: item.state !== 'dead',
    scope,
  })
}

async function handOver(
  action: OpenAction,
  item: ItemRow,
  to: { id: string; currency: string },
): Promise<void> {
  const rates = await action.tx.select().from(exchangeRates)
  const inCurrency = (currency: string) =>
    item.currency === currency
      ? item.remaining
      : convertAmount(
          item.remaining,
          item.currency,
          currency,
          rateTable(rates).rateOn(action.day, item.currency, currency),
        )
  const [from] =
    item.buildId === null ? [] : await action.tx.select().from(builds).where(eq(builds.id, item.buildId))
  await action.insert('moves', {
    id: newId('move'),
    itemId: item.id,
    day: action.day,
    fromBuildId: item.buildId,
    toBuildId: to.id,
    fromAmount: from ? inCurrency(from.currency) : item.remaining,
    toAmount: inCurrency(to.currency),
  })
}

/** Found otherwise: working, faulty or dead, by a repair or a test; what is dead loses its role. */
export function find(db: Database, id: string, input: Input<'find'>, today: string) {
  return step(
    db,
    id,
    { kind: 'find', day: input.day, says: (name) => `${name} found: ${input.state}` },
    today,
    async (action, item) => {
      assertFound(item.state, input.state, { repaired: input.repaired, path: 'state' })
      const found = await foundPart(action.tx, item, input.foundPartId)
      await action.update('items', id, {
        state: input.state,
        note: input.note || item.note,
        facts: { ...item.facts, ...(input.facts ?? {}) },
        ...(item.state === 'dead' && input.state !== 'dead' ? { isBuiltIn: item.place === 'build' } : {}),
        ...(input.state === 'dead' ? { isBuiltIn: false } : {}),
        ...(found === null ? {} : { partId: found, listedPartId: item.listedPartId ?? item.partId }),
      })
    },
  )
}

/** Sold by itself: the money, net of fee and postage, goes to the build the thing is for. */
export function sell(db: Database, id: string, input: Input<'sell'>, today: string) {
  return step(
    db,
    id,
    { kind: 'sell', day: input.day, says: (name) => `${name} sold` },
    today,
    async (action, item, name) => {
      const buildId = item.buildId ?? item.payerId ?? input.buildId
      if (buildId === null) throw new CoreError('no-build-for-money', {}, 'buildId')
      const build = await findBuild(action.tx, buildId)
      const amount = (text: string, path: string) => parseDecimal(text, build.currency, path)
      const price = amount(input.price, 'price')
      const [fee, postage] = [amount(input.fee, 'fee'), amount(input.postage, 'postage')]
      if (price <= 0) throw new CoreError('no-sale-price', {}, 'price')
      if (item.buildId === null && item.payerId === null) await handOver(action, item, build)
      await action.insert('sales', {
        id: newId('sale'),
        buildId,
        itemId: id,
        day: input.day,
        price,
        fee,
        postage,
        hours: 0,
        currency: build.currency,
      })
      await saleEntries(
        action,
        { buildId, scope: item.scope, itemId: id, text: name, isMachine: false },
        price,
        fee + postage,
      )
      await action.update('items', id, {
        place: 'gone',
        goneBecause: 'sold',
        buildId,
        soldFor: await inItemCurrency(action, item, price - fee - postage, build.currency),
        leftOn: input.day,
      })
    },
  )
}

async function inItemCurrency(
  action: OpenAction,
  item: ItemRow,
  amount: number,
  from: string,
): Promise<number> {
  if (item.currency === from) return amount
  const rates = await action.tx.select().from(exchangeRates)
  return convertAmount(amount, from, item.currency, rateTable(rates).rateOn(action.day, from, item.currency))
}

/** The entries of a sale: its price, and what it cost to sell. */
export async function saleEntries(
  action: OpenAction,
  sale: { buildId: string; scope: ItemRow['scope']; itemId: string | null; text: string; isMachine: boolean },
  price: number,
  costs: number,
): Promise<void> {
  const { isMachine, ...entry } = sale
  const write = (kind: 'sold' | 'machine-sold' | 'sale-cost' | 'machine-sale-cost', cash: number) =>
    writeEntry(action.tx, { ...entry, kind, cash, day: action.day, actionId: action.id }, action.today)
  await write(isMachine ? 'machine-sold' : 'sold', price)
  if (costs !== 0) await write(isMachine ? 'machine-sale-cost' : 'sale-cost', 0 - costs)
}

/** Thrown away: what it still cost is lost. */
export function writeOff(db: Database, id: string, input: Input<'write-off'>, today: string) {
  return step(
    db,
    id,
    { kind: 'writeOff', day: input.day, says: (name) => `${name} written off` },
    today,
    (action) =>
      action.update('items', id, {
        place: 'gone',
        goneBecause: 'written-off',
        leftOn: input.day,
        isBuiltIn: false,
      }),
  )
}

/** Its buyer brought it back: the money goes back too, and it is on the shelf. */
export function takeBack(db: Database, id: string, input: Input<'take-back'>, today: string) {
  return step(
    db,
    id,
    { kind: 'takeBack', day: input.day, says: (name) => `${name} returned by its buyer` },
    today,
    async (action, item, name) => {
      if (item.goneBecause !== 'sold') throw new CoreError('sold-with-pc', {}, 'id')
      const build = await findBuild(action.tx, item.buildId!)
      const back = parseDecimal(input.amount, build.currency, 'amount')
      await saleEntries(
        action,
        { buildId: build.id, scope: item.scope, itemId: id, text: `${name}, returned`, isMachine: false },
        0 - back,
        0,
      )
      await action.update('items', id, {
        place: 'shelf',
        goneBecause: null,
        soldFor: 0,
        remaining: item.remaining,
        leftOn: null,
      })
    },
  )
}

/** What becomes of a thing that is traded in. */
export function leavesTradedIn(day: string) {
  return gone('traded-in', day)
}

function gone<R extends ItemRow['goneBecause']>(because: R, day: string) {
  return { place: 'gone', goneBecause: because, leftOn: day, isBuiltIn: false } as const
}

/** Given in part payment of another thing; what it was credited stands on that thing's order. */
export function tradeIn(db: Database, id: string, input: Input<'trade-in'>, today: string) {
  return step(
    db,
    id,
    { kind: 'tradeIn', day: input.day, says: (name) => `${name} traded in` },
    today,
    (action) => action.update('items', id, leavesTradedIn(input.day)),
  )
}

/**
 * Taken apart into things of their own, whose costs add up to its own, by street price of that day; they lie where it
 * lay, and what is not known of a price bears nothing unless none is.
 */
export async function split(
  db: Database,
  id: string,
  { day, parts: into }: Input<'split'>,
  today: string,
): Promise<string | null> {
  const market = await useMarket(db)
  const ids = into as string[]
  const missing = ids.findIndex((partId) => !market.library.some((part) => part.id === partId))
  if (missing >= 0) throw new CoreError('unknown-part', { id: ids[missing]! }, `parts[${missing}]`)
  return step(
    db,
    id,
    { kind: 'split', day, says: (name) => `${name} split` },
    today,
    async (action, item) => {
      const things = ids.map((partId) => ({
        plan: 'keep' as const,
        worth: streetAt(market, partId, day, item.currency) ?? 0,
      }))
      const [costs, remaining] = [
        itemCosts(item.cost, things),
        itemCosts(Math.max(0, item.remaining), things),
      ]
      await action.update('items', id, { ...gone('split', day), cost: 0, remaining: 0 })
      for (const [index, partId] of ids.entries())
        await action.insert('items', {
          ...item,
          id: newId(partId),
          partId,
          listedPartId: null,
          leftOut: [],
          cost: costs[index]!,
          remaining: remaining[index]!,
          anyoneCanPay: null,
          faultLoss: null,
        })
    },
  )
}

/** Whether it is built in, and for which scope; what stands beside it. */
export function arrange(db: Database, id: string, input: Input<'arrange'>, today: string) {
  return step(
    db,
    id,
    { kind: 'refundKept', day: today, says: (name) => `${name} changed` },
    today,
    (action, item) =>
      action.update('items', id, {
        scope: input.scope ?? item.scope,
        reason: input.reason ?? item.reason,
        leftOut: (input.leftOut as string[] | undefined) ?? item.leftOut,
        isBuiltIn: input.isBuiltIn ?? item.isBuiltIn,
      }),
  )
}
