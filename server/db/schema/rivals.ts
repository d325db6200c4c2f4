import { sql } from 'drizzle-orm'
import { integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Equivalent } from '../../../core/comparison/components/consoleModes'
import type { RivalParts } from '../../../core/comparison/components/rivalFacts'
import type { Need } from '../../../core/parts/part'
import { deletedAt, id } from './columns'
import { parts } from './parts'
import { workloads } from './work'

export const rivals = sqliteTable('rivals', {
  id: id(),
  kind: text().$type<'prebuilt' | 'console' | 'configured' | 'offered' | 'own'>().notNull(),
  name: text().notNull(),
  price: integer().notNull(),
  currency: text().notNull(),
  taxPercent: real().notNull(),
  shipping: integer().notNull(),
  brings: text({ mode: 'json' }).$type<Need[]>().notNull(),
  /** Parts it is known to hold; an estimate stands in where its seller gives no rates. */
  cpuId: text().references(() => parts.id),
  graphicsId: text().references(() => parts.id),
  notStated: text({ mode: 'json' }).$type<string[]>().notNull(),
  /** Whether its seller says what delivery costs. */
  shippingStated: integer({ mode: 'boolean' }).notNull().default(true),
  /** What is said of its parts beyond CPU and card; null inside: not stated. */
  parts: text({ mode: 'json' })
    .$type<Omit<RivalParts, 'cpuId' | 'graphicsId'>>()
    .notNull()
    .default(sql`'{}'`),
  /** Null: not stated. */
  warrantyMonths: integer(),
  fullW: real(),
  idleW: real(),
  /** Minor units a year, and minor units a game. */
  subscriptionPerYear: integer().notNull().default(0),
  gameSurcharge: integer().notNull().default(0),
  /** What people take a console's insides to be equal to. */
  equivalents: text({ mode: 'json' }).$type<Equivalent[]>().notNull().default([]),
  /** Wanted things it brings beyond the list of needs; worth in minor units. */
  extras: text({ mode: 'json' }).$type<{ label: string; worth: number }[]>().notNull().default([]),
  /** What it would fetch today; null: by its kind. */
  resaleToday: integer(),
  url: text().notNull(),
  note: text().notNull(),
  deletedAt: deletedAt(),
})

export const rivalRates = sqliteTable('rival_rates', {
  id: id(),
  rivalId: text()
    .notNull()
    .references(() => rivals.id),
  workloadId: text()
    .notNull()
    .references(() => workloads.id),
  width: integer().notNull(),
  height: integer().notNull(),
  /** Null: a mode of its own, whose settings are not known. */
  preset: text(),
  /** Null: only the lowest rate is known. */
  averageFps: real(),
  lowFps: real(),
  note: text().notNull(),
})
