import { integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { builds } from './builds'
import { id } from './columns'
import { workloads } from './work'

export const targets = sqliteTable('targets', {
  id: id(),
  buildId: text()
    .notNull()
    .references(() => builds.id),
  position: integer().notNull(),
  workloadId: text()
    .notNull()
    .references(() => workloads.id),
  width: integer().notNull(),
  height: integer().notNull(),
  preset: text().notNull(),
  /** Upscaling mode of the game that the target counts on; null: none. */
  upscaling: text(),
  frameGeneration: integer({ mode: 'boolean' }).notNull().default(false),
  averageFps: real().notNull(),
  lowFps: real(),
})
