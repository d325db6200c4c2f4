import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { Role } from '../../../core/parts/part'
import type { Answer } from '../../../core/reading/listings/completeness'
import type { Condition, Manner } from '../../../core/reading/sales/soldRecord'
import type { RebateState } from '../../../core/supply/landed/rebates'
import type { FaultSign } from '../../../core/supply/risk/faultRisk'
import { deletedAt, id } from './columns'
import { parts } from './parts'
import { sources } from './sources'

export type LeadState = 'open' | 'bought' | 'gone' | 'passed'

export const leads = sqliteTable(
  'leads',
  {
    id: id(),
    sourceId: text()
      .notNull()
      .references(() => sources.id),
    externalId: text().notNull(),
    title: text().notNull(),
    url: text().notNull(),
    price: integer().notNull(),
    currency: text().notNull(),
    condition: text().$type<Condition>().notNull(),
    manner: text().$type<Manner>().notNull(),
    listedOn: text().notNull(),
    endsOn: text(),
    /** Delivery as the listing states it, minor units; null: by the source's terms. */
    shipping: integer(),
    place: text().notNull(),
    note: text().notNull(),
    state: text().$type<LeadState>().notNull(),
    /** What was agreed with its seller, minor units, and until when it holds. */
    agreedAmount: integer(),
    agreedOn: text(),
    agreedUntil: text(),
    /** Whether there is one of it, or as many as one likes; null: as its source has it. */
    stock: text().$type<'one' | 'many'>(),
    /** The same thing, listed elsewhere. */
    twinOf: text(),
    passReason: text().notNull().default(''),
    /** Text of the listing, from which its facts are read; and the builder's own answers, which hold over it. */
    text: text().notNull().default(''),
    answers: text({ mode: 'json' }).$type<Record<string, Answer>>().notNull().default({}),
    /** Signs of its risk by the builder's word: seen or not; others are read from the text. */
    signs: text({ mode: 'json' }).$type<Partial<Record<FaultSign, boolean>>>().notNull().default({}),
    /** What it makes necessary, minor units of its currency. */
    extras: text({ mode: 'json' }).$type<{ label: string; amount: number }[]>().notNull().default([]),
    /** Credit at the till for an old thing of mine, minor units; the thing leaves when the order is paid. */
    tillCredit: integer(),
    tillItemId: text(),
    /** The trip that fetches it. */
    tripId: text(),
    /** Day on which the seller was last asked something. */
    askedOn: text(),
    /** The connector that brought it; null: written down by the builder. */
    connectorId: text(),
    /** Day it was last seen at its source, and the day it was found gone; its price is then its last ask. */
    lastSeenOn: text(),
    vanishedOn: text(),
    /** Whether its parts were read from the title rather than stated by the builder. */
    tieDeduced: integer({ mode: 'boolean' }).notNull().default(false),
    deletedAt: deletedAt(),
  },
  (table) => [uniqueIndex('leads_identity').on(table.sourceId, table.externalId)],
)

/** What a listing asked, day by day where it changed. */
export const leadAsks = sqliteTable(
  'lead_asks',
  {
    leadId: text()
      .notNull()
      .references(() => leads.id),
    day: text().notNull(),
    ask: integer().notNull(),
  },
  (table) => [primaryKey({ columns: [table.leadId, table.day] })],
)

export const leadThings = sqliteTable(
  'lead_things',
  {
    leadId: text()
      .notNull()
      .references(() => leads.id),
    position: integer().notNull(),
    partId: text()
      .notNull()
      .references(() => parts.id),
    quantity: integer().notNull(),
    plan: text().$type<'keep' | 'resell' | 'discard'>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.leadId, table.position] })],
)

export const codes = sqliteTable('codes', {
  id: id(),
  leadId: text()
    .notNull()
    .references(() => leads.id),
  word: text().notNull(),
  kind: text().$type<'percent' | 'fixed'>().notNull(),
  /** Percent, or minor units. */
  value: real().notNull(),
  minSpend: integer(),
  validFrom: text(),
  validUntil: text(),
  /** Whether it counts for this lead alone, in whatever order it stands. */
  onlyThis: integer({ mode: 'boolean' }).notNull().default(false),
  /** Whether everybody may use it; whether it works once. */
  isPublic: integer({ mode: 'boolean' }).notNull().default(true),
  once: integer({ mode: 'boolean' }).notNull().default(false),
  usedOn: text(),
  /** Most it takes off, minor units. */
  cap: integer(),
  stackable: integer({ mode: 'boolean' }).notNull().default(true),
  /** Null: on the whole order. */
  role: text().$type<Role>(),
})

export const rebates = sqliteTable('rebates', {
  id: id(),
  leadId: text()
    .notNull()
    .references(() => leads.id),
  /** The line of the order it was bought with; null: what its lead offers. */
  lineId: text(),
  kind: text().$type<'mail-in' | 'online' | 'trade-in'>().notNull(),
  amount: integer().notNull(),
  claimBy: text().notNull(),
  state: text().$type<RebateState>().notNull(),
  chance: real().notNull(),
  proof: text().notNull().default(''),
  expectedBy: text(),
  /** A campaign pays one household so often; null: no limit. */
  campaign: text().notNull().default(''),
  perHousehold: integer(),
  /** The old part that a trade-in takes. */
  tradedPartId: text().references(() => parts.id),
})

/** Pictures of a lead or of what came; the files lie beside the database. */
export const photos = sqliteTable(
  'photos',
  {
    id: id(),
    leadId: text()
      .notNull()
      .references(() => leads.id),
    /** Whether it shows what came out of the box rather than the listing. */
    arrival: integer({ mode: 'boolean' }).notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    addedOn: text().notNull(),
    deletedAt: deletedAt(),
  },
  (table) => [index('photos_lead').on(table.leadId)],
)

/** What was said about the price of a lead, and by whom. */
export const offers = sqliteTable('offers', {
  id: id(),
  leadId: text()
    .notNull()
    .references(() => leads.id),
  by: text().$type<'me' | 'seller'>().notNull(),
  /** Minor units of the lead's currency; null for a word without a figure. */
  amount: integer(),
  day: text().notNull(),
  note: text().notNull(),
  deletedAt: deletedAt(),
})
