import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { builds } from './builds'
import { rivals } from './rivals'

export const buildRivals = sqliteTable(
  'build_rivals',
  {
    buildId: text()
      .notNull()
      .references(() => builds.id),
    rivalId: text()
      .notNull()
      .references(() => rivals.id),
  },
  (table) => [primaryKey({ columns: [table.buildId, table.rivalId] })],
)
