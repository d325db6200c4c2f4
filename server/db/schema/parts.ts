import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { QuerySettings } from '#shared/prices/queries'
import type { PartFacts, Role } from '../../../core/parts/part'
import { id } from './columns'

export const parts = sqliteTable('parts', {
  id: id(),
  role: text().$type<Role>().notNull(),
  make: text().notNull(),
  name: text().notNull(),
  facts: text({ mode: 'json' }).$type<PartFacts>().notNull(),
  /** Not known which model it is. */
  open: integer({ mode: 'boolean' }).notNull().default(false),
  /** The builder's price query; null: derived from the facts. */
  query: text({ mode: 'json' }).$type<QuerySettings>(),
})
