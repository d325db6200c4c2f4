import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { HouseRules, NeedEntry } from '#shared/brief/houseRules'
import type { Selling } from '#shared/ledger/selling'
import type { WeighingSettings } from '#shared/scales/settings'
import type { EditionContent } from '../../../core/files/editions/edition'
import type { BudgetScope, BuildState } from '../../../core/ledger/account'
import { createdAt, deletedAt, id } from './columns'

export const builds = sqliteTable('builds', {
  id: id(),
  name: text().notNull(),
  purpose: text().notNull(),
  currency: text().notNull(),
  region: text().notNull(),
  budget: integer().notNull(),
  stretch: integer().notNull(),
  wantedBy: text(),
  /** What the budget covers. */
  budgetScope: text().$type<BudgetScope>().notNull().default('everything'),
  state: text().$type<BuildState>().notNull().default('planned'),
  stateSince: text(),
  /** The build that this one is the upgrade of. */
  beforeId: text(),
  houseRules: text({ mode: 'json' }).$type<HouseRules>().notNull(),
  needs: text({ mode: 'json' }).$type<NeedEntry[]>().notNull(),
  /** For the builder alone; and what a buyer may read. */
  privateNote: text().notNull().default(''),
  saleText: text().notNull().default(''),
  /** Keys of findings fixed by hand. */
  settled: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
  /** Lines of the assembly sheet that are done, as they read: a line that changes with its parts is open again. */
  assembled: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
  /** The build this one is a variant of, and the choices of that one that it does without. */
  variantOf: text(),
  dropped: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
  /** Leads that this build, and its variants, pass on, each with the reason; other builds may want them. */
  passed: text({ mode: 'json' }).$type<Record<string, string>>().notNull().default({}),
  /** How it is weighed; null: by the defaults. */
  weighing: text({ mode: 'json' }).$type<WeighingSettings>(),
  /** What its worth today is read from, and what counts as a machine like it; null: by its parts. */
  selling: text({ mode: 'json' }).$type<Selling>(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

/** Frozen, dated copies of builds; nothing changes them. */
export const editions = sqliteTable(
  'editions',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    name: text().notNull(),
    frozenOn: text().notNull(),
    content: text({ mode: 'json' }).$type<EditionContent>().notNull(),
    createdAt: createdAt(),
    deletedAt: deletedAt(),
  },
  (table) => [index('editions_build').on(table.buildId)],
)

/** What others said of a build, a row a line; kept when it is taken or declined. */
export const advice = sqliteTable(
  'advice',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    /** Its place on the sheet. */
    position: integer().notNull(),
    by: text().notNull(),
    receivedOn: text().notNull(),
    /** The line it is about, as it was called; empty: the whole build. */
    line: text().notNull(),
    remark: text().notNull(),
    instead: text().notNull(),
    /** The part of the library that `instead` names; null: none, or not found. */
    insteadPartId: text(),
    state: text().$type<'open' | 'taken' | 'declined'>().notNull().default('open'),
    createdAt: createdAt(),
  },
  (table) => [index('advice_build').on(table.buildId)],
)
