import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Scope } from '../../../core/ledger/receipt'
import { builds } from './builds'
import { deletedAt, id } from './columns'
import { leads } from './leads'
import { parts } from './parts'
import { shelf } from './shelf'

export const choices = sqliteTable(
  'choices',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    position: integer().notNull(),
    kind: text().$type<'lead' | 'hunt' | 'owned'>().notNull(),
    leadId: text().references(() => leads.id),
    partId: text().references(() => parts.id),
    shelfId: text().references(() => shelf.id),
    /** Pay-up-to price of a hunt, minor units of the build's currency. */
    limit: integer(),
    scope: text().$type<Scope>().notNull(),
    reason: text().notNull(),
    /** Parts of it that are not built in. */
    leftOut: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    paidOn: text(),
    deletedAt: deletedAt(),
  },
  (table) => [index('choices_build').on(table.buildId)],
)
