import { buildRow, findBuild, rootIdOf } from '#server/context/findBuild'
import { AfterCommit } from '#server/db/afterCommit'
import { csvTable } from '#core/files/export/csvCell'
import { runningCash } from '#core/ledger/ledger'
import { toDecimal } from '#core/money/decimal'
import { joinedOrder } from '#core/supply/orders/joinedOrder'
import type { BuildView } from '#shared/builds/views'
import type { LedgerView, PlannedOrderView, TripView } from '#shared/ledger/views'
import type { Database, Queryable } from '#server/db/client'
import { deadlines } from './deadlines'
import { cartOf, type OpenOrder } from '#server/context/openOrders'
import { buildReading, type ReadBuild } from '#server/context/readBuild'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import { sellingOf } from './selling'

const mostActions = 60
const byDayAndId = (a: { day: string; id: string }, b: { day: string; id: string }) =>
  a.day === b.day ? (a.id < b.id ? -1 : 1) : a.day < b.day ? -1 : 1

/** The ledger of a build: orders to pay, things, entries, what was done, dates ahead, and what it would fetch. */
export const ledgerPage = reading('ledger page', (world, buildId: string, today: string): LedgerView => {
  const read = buildReading(world, buildId, today)
  const { view, items, holdings, orders, trips } = read
  const rootId = rootIdOf(world, view)
  const written = world.rows.ledgerEntries.where('buildId', rootId).toSorted(byDayAndId)
  const done = world.rows.actions
    .where('buildId', rootId)
    .toSorted((a, b) => b.id - a.id)
    .slice(0, mostActions)
  const standing = new Map(runningCash(holdings.entries).map((each) => [each.id, each.standing]))
  const labelOfLine = new Map(holdings.lines.map(({ id, label }) => [id, label]))
  const compared = view.receipt.groups
  return {
    currency: view.currency,
    state: view.state,
    entries: written
      .map(({ id, day, kind, cash, hours, text, correctsId, actionId, lineId }) => ({
        id,
        day,
        kind,
        cash,
        hours,
        text,
        correctsId,
        isOfAction: actionId !== null || lineId !== null,
        standing: standing.get(id) ?? null,
      }))
      .reverse(),
    items,
    orders: orders.map((order) => plannedOrder(order, view)),
    hunts: view.choices
      .filter((choice) => choice.kind === 'hunt')
      .map(({ id, label, payNow }) => ({ choiceId: id, label, limit: payNow })),
    trips: trips.map(({ trip: { id, name, km, fare, hours, drivenOn }, cash }): TripView => ({
      id,
      name,
      km,
      fare,
      hours,
      cost: cash,
      drivenOn,
    })),
    rebates: holdings.rebates.map(({ id, lineId, kind, amount, claimBy, expectedBy, state }) => ({
      id,
      lineId: lineId!,
      label: labelOfLine.get(lineId!) ?? '',
      kind,
      amount,
      currency: holdings.lines.find((line) => line.id === lineId)!.order.currency,
      claimBy,
      expectedBy,
      state,
    })),
    actions: done.map(({ id, day, text, undoneOn }) => ({ id, day, text, isUndone: undoneOn !== null })),
    compared: comparedTo([...compared.paid, ...compared.toBuy, ...compared.owned]),
    ...sellingOf(read, buildRow(world, buildId).selling, today),
    deadlines: deadlines(world, read, today),
  }
})

export async function ledgerView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<LedgerView> {
  return ledgerPage(await useWorld(db), buildId, today)
}

/** What was paid or is to be paid for things with a known price for anyone, and that price. */
function comparedTo(lines: BuildView['receipt']['groups']['paid']): LedgerView['compared'] {
  const known = lines.filter((line) => line.isThing && line.anyoneCanPay !== null && line.payNow !== null)
  return {
    own: known.reduce((sum, line) => sum + line.payNow!, 0),
    anyoneCanPay: known.reduce((sum, line) => sum + line.anyoneCanPay!, 0),
  }
}

/** An order as the shop's cart has it; and what paying one line alone would make of the others. */
function plannedOrder(order: OpenOrder, view: BuildView | ReadBuild['view']): PlannedOrderView {
  const { leads: inOrder, joined } = order
  const orderOf = (each: OpenOrder['leads'][number]) => each.valued.value.order
  const cart = cartOf(order, view.id)
  return {
    ...cart,
    lines: inOrder.map((each, index) => ({
      ...cart.lines[index]!,
      leadId: each.valued.lead.id,
      label: each.valued.lead.title,
      build: each.buildName,
      isApart: each.orderGroup !== null,
      share: joined.shares[index]!,
      alone:
        inOrder.length < 2
          ? null
          : {
              this: joinedOrder([orderOf(each)]).landed.payNow.amount,
              others: joinedOrder(inOrder.filter((other) => other !== each).map(orderOf)).landed.payNow
                .amount,
            },
    })),
    saved: joined.saved,
    freeShippingGap: joined.freeShippingGap,
    isShop: ['shop', 'refurbisher', 'counter'].includes(inOrder[0]!.valued.source.kind),
  }
}

/** The ledger as CSV, oldest first; what counts nowhere any more is left out. */
export async function ledgerCsv(db: Database, buildId: string, today: string): Promise<string> {
  const { entries, currency } = await ledgerView(db, buildId, today)
  return csvTable(
    ['date', 'kind', 'what', 'cash', 'currency', 'hours', 'standing'],
    [...entries]
      .reverse()
      .filter((entry) => entry.standing !== null)
      .map((entry) => [
        entry.day,
        entry.kind,
        entry.text,
        toDecimal(entry.cash, currency),
        currency,
        entry.hours,
        toDecimal(entry.standing!, currency),
      ]),
  )
}

/** The same as the answer to a change; the build is there, or the change is refused. */
export async function ledgerAfter(
  db: Database,
  buildId: string,
  today: string,
): Promise<AfterCommit<LedgerView>> {
  await findBuild(db, buildId)
  return new AfterCommit((after) => ledgerView(after, buildId, today))
}
