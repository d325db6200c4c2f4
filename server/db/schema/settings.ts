import { sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** What the builder has set for the whole house, a JSON value by key; what is not here holds its default. */
export const settings = sqliteTable('settings', {
  key: text().primaryKey(),
  value: text({ mode: 'json' }).notNull(),
})
