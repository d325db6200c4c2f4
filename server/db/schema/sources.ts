import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { PollProblem } from '#shared/sources/polls'
import type { PasteMade } from '#shared/pastes/schemas'
import type { Meanings, SourceCode } from '#shared/sources/schemas'
import type { Protection } from '../../../core/supply/risk/faultRisk'
import { createdAt, deletedAt, id } from './columns'

export const sources = sqliteTable('sources', {
  id: id(),
  name: text().notNull(),
  kind: text().$type<'classifieds' | 'auction' | 'refurbisher' | 'shop' | 'counter'>().notNull(),
  currency: text().notNull(),
  taxPercent: real().notNull(),
  taxOnShipping: integer({ mode: 'boolean' }).notNull(),
  shippingKind: text().$type<'none' | 'per-item' | 'per-order'>().notNull(),
  shippingAmount: integer().notNull(),
  shippingFreeFrom: integer(),
  paymentFeePercent: real().notNull(),
  sellerFeePercent: real().notNull(),
  protection: text().$type<Protection>().notNull(),
  note: text().notNull(),
  /** What comes on top of an order from abroad; the sum of items below which nothing does, minor units. */
  importDutyPercent: real().notNull().default(0),
  importTaxPercent: real().notNull().default(0),
  importFreeUnder: integer().notNull().default(0),
  /** Percent for paying in another currency. */
  exchangeFeePercent: real().notNull().default(0),
  /** Whether credit for an old thing lowers the price that is taxed. */
  creditLowersTax: integer({ mode: 'boolean' }).notNull().default(false),
  /** Codes that count for all it sells. */
  codes: text({ mode: 'json' }).$type<SourceCode[]>().notNull().default([]),
  /** What words of its tables mean. */
  meanings: text({ mode: 'json' }).$type<Meanings>(),
})

export const imports = sqliteTable('imports', {
  id: integer().primaryKey({ autoIncrement: true }),
  kind: text().notNull(),
  fileName: text().notNull(),
  createdAt: createdAt(),
  added: integer().notNull(),
  alreadyThere: integer().notNull(),
  rejected: integer().notNull(),
  /** What else a paste has made, so that one undo takes it all back. */
  made: text({ mode: 'json' })
    .$type<PasteMade>()
    .notNull()
    .default({ sources: [], parts: [], choices: [], leads: [] }),
})

/** A source's address that is checked on a schedule. */
export const connectors = sqliteTable('connectors', {
  id: id(),
  sourceId: text()
    .notNull()
    .references(() => sources.id),
  kind: text().$type<'sold-csv' | 'lead-feed' | 'shop-csv'>().notNull(),
  url: text().notNull(),
  everyMinutes: integer().notNull(),
  /** Private and loopback addresses are refused unless this says otherwise. */
  allowPrivate: integer({ mode: 'boolean' }).notNull(),
  paused: integer({ mode: 'boolean' }).notNull(),
  /** Polls that failed one after another; each doubles the wait. */
  failures: integer().notNull(),
  /** ISO time from which the next poll may run by the schedule. */
  dueAt: text().notNull(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

export const polls = sqliteTable(
  'polls',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    connectorId: text()
      .notNull()
      .references(() => connectors.id),
    startedAt: text().notNull(),
    finishedAt: text(),
    outcome: text().$type<'running' | 'done' | 'failed' | 'cut-short'>().notNull(),
    added: integer().notNull(),
    changed: integer().notNull(),
    alreadyThere: integer().notNull(),
    vanished: integer().notNull(),
    rejected: integer().notNull(),
    /** Rejected lines and entries, the first of them, each with where and why. */
    problems: text({ mode: 'json' }).$type<PollProblem[]>().notNull(),
    message: text().notNull(),
  },
  (table) => [index('polls_connector').on(table.connectorId)],
)
