import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ArrivalVerdict } from '../../../core/ledger/arrival'
import type { EntryKind } from '../../../core/ledger/ledger'
import { builds } from './builds'
import { createdAt, deletedAt, id } from './columns'
import { choices } from './machine'
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
  deletedAt: deletedAt(),
})

/** Money and hours of a build. Nothing is ever changed or removed: a correction is an entry. */
export const ledgerEntries = sqliteTable(
  'ledger_entries',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    day: text().notNull(),
    kind: text().$type<EntryKind>().notNull(),
    /** Minor units of the build's currency, below zero where money left. */
    cash: integer().notNull(),
    hours: real().notNull(),
    choiceId: text().references(() => choices.id),
    text: text().notNull(),
    /** The entry this one corrects. */
    correctsId: text(),
    createdAt: createdAt(),
  },
  (table) => [index('ledger_build').on(table.buildId)],
)

/** What came out of the box. The newest of a choice stands. */
export const arrivals = sqliteTable(
  'arrivals',
  {
    id: id(),
    choiceId: text()
      .notNull()
      .references(() => choices.id),
    day: text().notNull(),
    verdict: text().$type<ArrivalVerdict>().notNull(),
    /** The part it turned out to be, where it is another than listed. */
    foundPartId: text().references(() => parts.id),
    checks: text({ mode: 'json' }).$type<string[]>().notNull(),
    note: text().notNull(),
    /** Last day to send it back, and how far that is. */
    returnBy: text(),
    returnState: text().$type<'to-send' | 'sent' | 'refunded'>(),
    createdAt: createdAt(),
  },
  (table) => [index('arrivals_choice').on(table.choiceId)],
)
