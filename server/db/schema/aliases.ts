import { sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** Ids of before that broke the grammar of ids, and what each is now: addresses that were noted down are still found. */
export const idAliases = sqliteTable('id_aliases', {
  old: text().primaryKey(),
  now: text().notNull(),
})
