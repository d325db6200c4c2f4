import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Condition } from '../../../core/reading/sales/soldRecord'
import { deletedAt, id } from './columns'
import { parts } from './parts'

export const shelf = sqliteTable('shelf', {
  id: id(),
  partId: text()
    .notNull()
    .references(() => parts.id),
  condition: text().$type<Condition>().notNull(),
  cost: integer().notNull(),
  currency: text().notNull(),
  note: text().notNull(),
  /** The purchase it was left over from. */
  fromChoiceId: text(),
  soldOn: text(),
  deletedAt: deletedAt(),
})
