import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ItemPlan } from '../../../core/ledger/itemCosts'
import type { GoneReason, ItemPlace, ItemState } from '../../../core/ledger/itemLife'
import type { EntryKind } from '../../../core/ledger/ledger'
import type { Scope } from '../../../core/ledger/scopes'
import type { Condition } from '../../../core/reading/sales/soldRecord'
import { builds } from './builds'
import { createdAt, deletedAt, id } from './columns'
import { parts } from './parts'

/** A drive that fetches one thing or several. */
export const trips = sqliteTable('trips', {
  id: id(),
  buildId: text()
    .notNull()
    .references(() => builds.id),
  name: text().notNull(),
  km: real().notNull(),
  /** Minor units of the build's currency. */
  fare: integer().notNull(),
  hours: real().notNull(),
  /** The day it was driven; from then on it is a fact of the ledger. */
  drivenOn: text(),
  deletedAt: deletedAt(),
})

/** What an action did to one row: as it was and as it became; null where the row was not there. */
export interface RowImage {
  readonly table: string
  readonly id: string
  readonly before: Readonly<Record<string, unknown>> | null
  readonly after: Readonly<Record<string, unknown>> | null
}

/** Every change of a life, dated, with the rows it changed, so that it can be undone. */
export const actions = sqliteTable(
  'actions',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    buildId: text(),
    day: text().notNull(),
    kind: text().notNull(),
    text: text().notNull(),
    rows: text({ mode: 'json' }).$type<RowImage[]>().notNull(),
    undoneOn: text(),
    createdAt: createdAt(),
  },
  (table) => [index('actions_build').on(table.buildId)],
)

/** A purchase from one source that was paid; a fact, never computed again. */
export const orders = sqliteTable('orders', {
  id: id(),
  sourceId: text(),
  day: text().notNull(),
  /** What the shop was paid, minor units of the currency it was paid in. */
  paid: integer().notNull(),
  currency: text().notNull(),
})

/** What of an order was bought for which build, at what was paid for it. */
export const orderLines = sqliteTable(
  'order_lines',
  {
    id: id(),
    orderId: text()
      .notNull()
      .references(() => orders.id),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    leadId: text(),
    label: text().notNull(),
    reason: text().notNull(),
    /** Minor units of the order's currency, and as booked in the build's. */
    paid: integer().notNull(),
    booked: integer().notNull(),
  },
  (table) => [index('order_lines_build').on(table.buildId)],
)

/** A thing that is mine, one row a piece. Amounts in minor units of `currency`. */
export const items = sqliteTable(
  'items',
  {
    id: id(),
    /** What it is, as far as is known; and what it was listed as, where that was something else. */
    partId: text()
      .notNull()
      .references(() => parts.id),
    listedPartId: text(),
    condition: text().$type<Condition>().notNull(),
    place: text().$type<ItemPlace>().notNull(),
    state: text().$type<ItemState>().notNull(),
    goneBecause: text().$type<GoneReason>(),
    /** The build it is in, or ordered for; null: the shelf, or gone. */
    buildId: text(),
    /** The build that paid for it; null: owned before. */
    payerId: text(),
    lineId: text(),
    scope: text().$type<Scope>().notNull(),
    plan: text().$type<ItemPlan>().notNull(),
    /** Whether it is built in; a part of a donor that is not stands in `leftOut`. */
    isBuiltIn: integer({ mode: 'boolean' }).notNull(),
    leftOut: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    reason: text().notNull().default(''),
    currency: text().notNull(),
    cost: integer().notNull(),
    /** Cost less refunds and rebates paid on it, plus repairs. */
    remaining: integer().notNull(),
    /** What anyone could pay for it on the day of payment, and its fault loss then; null: not known. */
    anyoneCanPay: integer(),
    faultLoss: integer(),
    /** What is expected while it is on its way back; what it was sold for, net. */
    expectedBack: integer().notNull().default(0),
    soldFor: integer().notNull().default(0),
    leftOn: text(),
    arrivedOn: text(),
    returnBy: text(),
    checks: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    /** What was found on it that its part does not say. */
    facts: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull().default({}),
    note: text().notNull().default(''),
  },
  (table) => [
    index('items_build').on(table.buildId),
    index('items_payer').on(table.payerId),
    index('items_line').on(table.lineId),
  ],
)

/** Things handed from one build to another, at their remaining cost on that day, frozen, in both currencies. */
export const moves = sqliteTable('moves', {
  id: id(),
  itemId: text()
    .notNull()
    .references(() => items.id),
  day: text().notNull(),
  fromBuildId: text(),
  toBuildId: text(),
  fromAmount: integer().notNull(),
  toAmount: integer().notNull(),
})

/** What was sold: a thing, or a machine. Amounts in minor units of `currency`. */
export const sales = sqliteTable('sales', {
  id: id(),
  buildId: text().notNull(),
  itemId: text(),
  day: text().notNull(),
  price: integer().notNull(),
  fee: integer().notNull(),
  postage: integer().notNull(),
  hours: real().notNull(),
  currency: text().notNull(),
  /** The day on which its buyer returned it. */
  returnedOn: text(),
})

/** Money and hours of a build. Nothing is ever changed or removed; what an undone action wrote counts nowhere. */
export const ledgerEntries = sqliteTable(
  'ledger_entries',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    day: text().notNull(),
    kind: text().$type<EntryKind>().notNull(),
    scope: text().$type<Scope>().notNull().default('core'),
    /** Minor units of the build's currency, below zero where money left. */
    cash: integer().notNull(),
    hours: real().notNull(),
    lineId: text(),
    itemId: text(),
    actionId: integer(),
    text: text().notNull(),
    /** The entry this one corrects. */
    correctsId: text(),
    createdAt: createdAt(),
  },
  (table) => [index('ledger_build').on(table.buildId)],
)
