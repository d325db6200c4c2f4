import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { QuerySettings, RecipeSettings } from '#shared/prices/queries'
import type { Role } from '../../../core/parts/part'
import type { Grade } from '../../../core/pricing/street/grade'
import type { Override } from '../../../core/pricing/street/streetPrice'
import type { Condition, Manner } from '../../../core/reading/sales/soldRecord'
import type { OpinionVerdict } from '../../../core/supply/ways/opinions'
import { builds } from './builds'
import { createdAt, deletedAt, id } from './columns'
import { leads } from './leads'
import { parts } from './parts'
import { imports, sources } from './sources'

export const soldRecords = sqliteTable(
  'sold_records',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    source: text().notNull(),
    externalId: text().notNull(),
    title: text().notNull(),
    price: integer().notNull(),
    shipping: integer().notNull(),
    currency: text().notNull(),
    soldOn: text().notNull(),
    manner: text().$type<Manner>().notNull(),
    condition: text().$type<Condition>().notNull(),
    quantity: integer(),
    importId: integer().references(() => imports.id),
  },
  (table) => [
    uniqueIndex('sold_records_identity').on(table.source, table.externalId),
    index('sold_records_date').on(table.soldOn),
  ],
)

export const recordOverrides = sqliteTable(
  'record_overrides',
  {
    partId: text()
      .notNull()
      .references(() => parts.id),
    recordId: integer()
      .notNull()
      .references(() => soldRecords.id),
    decision: text().$type<Override>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.partId, table.recordId] })],
)

export const exchangeRates = sqliteTable(
  'exchange_rates',
  {
    date: text().notNull(),
    from: text().notNull(),
    to: text().notNull(),
    rate: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.date, table.from, table.to] })],
)

export const shopPrices = sqliteTable(
  'shop_prices',
  {
    sourceId: text()
      .notNull()
      .references(() => sources.id),
    partId: text()
      .notNull()
      .references(() => parts.id),
    date: text().notNull(),
    price: integer().notNull(),
    currency: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sourceId, table.partId, table.date] }),
    index('shop_prices_part').on(table.partId),
  ],
)

/** A dated price read, kept so that a later one can be held against it. */
export const priceReads = sqliteTable(
  'price_reads',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    partId: text()
      .notNull()
      .references(() => parts.id),
    readOn: text().notNull(),
    currency: text().notNull(),
    patient: integer().notNull(),
    typical: integer().notNull(),
    hurried: integer().notNull(),
    low: integer().notNull(),
    high: integer().notNull(),
    kept: integer().notNull(),
    grade: text().$type<Grade>().notNull(),
    /** The query it was read with. */
    query: text({ mode: 'json' }).$type<QuerySettings>().notNull(),
    note: text().notNull(),
    deletedAt: deletedAt(),
  },
  (table) => [index('price_reads_part').on(table.partId)],
)

/** A query kept under a name, to be used on other parts. */
export const queryRecipes = sqliteTable('query_recipes', {
  id: id(),
  name: text().notNull(),
  settings: text({ mode: 'json' }).$type<RecipeSettings>().notNull(),
  deletedAt: deletedAt(),
})

/** The builder's own idea of a price. */
export const ownFigures = sqliteTable('own_figures', {
  partId: text()
    .primaryKey()
    .references(() => parts.id),
  amount: integer().notNull(),
  currency: text().notNull(),
  note: text().notNull(),
  setOn: text().notNull(),
})

export const lookouts = sqliteTable('lookouts', {
  id: id(),
  buildId: text()
    .notNull()
    .references(() => builds.id),
  partId: text()
    .notNull()
    .references(() => parts.id),
  /** Pay-up-to price landed, minor units of the build's currency. */
  limit: integer().notNull(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

/** Hits the builder has seen to. */
export const lookoutSeen = sqliteTable(
  'lookout_seen',
  {
    lookoutId: text()
      .notNull()
      .references(() => lookouts.id),
    leadId: text()
      .notNull()
      .references(() => leads.id),
    seenOn: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.lookoutId, table.leadId] })],
)

export const guideOpinions = sqliteTable('guide_opinions', {
  id: id(),
  partId: text()
    .notNull()
    .references(() => parts.id),
  guide: text().notNull(),
  saidOn: text().notNull(),
  verdict: text().$type<OpinionVerdict>().notNull(),
  note: text().notNull(),
  deletedAt: deletedAt(),
})

/** A launch or a season that may move the prices of a role or a part. */
export const waitNotes = sqliteTable('wait_notes', {
  id: id(),
  role: text().$type<Role>().notNull(),
  /** Null: every part of the role. */
  partId: text().references(() => parts.id),
  what: text().notNull(),
  expectedOn: text().notNull(),
  dropPercent: real().notNull(),
  chance: real().notNull(),
  deletedAt: deletedAt(),
})
