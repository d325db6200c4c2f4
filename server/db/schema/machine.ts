import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Scope } from '../../../core/ledger/scopes'
import { builds } from './builds'
import { deletedAt, id } from './columns'
import { leads } from './leads'
import { parts } from './parts'

export type ChoiceKind = 'lead' | 'hunt' | 'item'
export type HuntCondition = 'used' | 'new'
export type VoidReason = 'bought' | 'gone' | 'passed'

export const choices = sqliteTable(
  'choices',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    position: integer().notNull(),
    kind: text().$type<ChoiceKind>().notNull(),
    leadId: text().references(() => leads.id),
    partId: text().references(() => parts.id),
    /** In a variant: a thing of mine that it would use. */
    itemId: text(),
    /** Pay-up-to price of a hunt, minor units of the build's currency. */
    limit: integer(),
    /** Whether a hunt is for a used or a new part. */
    condition: text().$type<HuntCondition>(),
    /** Choices of one source that are ordered apart, or together, by hand; null: as the source has it. */
    orderGroup: text(),
    /** Why it counts no more, and since when: its lead was bought elsewhere, is gone or was passed on. */
    voidBecause: text().$type<VoidReason>(),
    voidOn: text(),
    /** The line of the order it was paid with; it is a choice no more. */
    lineId: text(),
    scope: text().$type<Scope>().notNull(),
    reason: text().notNull(),
    /** Parts of it that are not built in. */
    leftOut: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    deletedAt: deletedAt(),
  },
  (table) => [index('choices_build').on(table.buildId)],
)
