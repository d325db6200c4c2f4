import { sql } from 'drizzle-orm'
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core'
import type { Condition, Manner } from '../../core/reading/sales/soldRecord'
import type { EntryKind } from '../../core/ledger/ledger'
import type { ArrivalVerdict } from '../../core/ledger/arrival'
import type { Grade } from '../../core/pricing/street/grade'
import type { OpinionVerdict } from '../../core/supply/ways/opinions'
import type { Override } from '../../core/pricing/street/streetPrice'
import type { Need, PartFacts, Role } from '../../core/parts/part'
import type { Scope } from '../../core/ledger/receipt'
import type { Answer } from '../../core/reading/listings/completeness'
import type { FaultSign, Protection } from '../../core/supply/risk/faultRisk'
import type { RebateState } from '../../core/supply/landed/rebates'
import type { FrameMachine } from '../../core/performance/model/frameTime'
import type { Noise } from '../../core/performance/runs/livingWithIt'
import type { LowsCause, Repeat, RunConditions, RunKind, RunReadings } from '../../core/performance/runs/run'
import type { Feeling } from '../../core/performance/model/throughput'
import type { PresetCost } from '../../core/performance/model/workload'
import type { EditionContent } from '../../core/files/editions/edition'
import type { Equivalent } from '../../core/comparison/components/consoleModes'
import type { RivalParts } from '../../core/comparison/components/rivalFacts'
import type {
  HouseRules,
  NeedEntry,
  PollProblem,
  QuerySettings,
  RecipeSettings,
  WeighingSettings,
} from '../../shared/types'

// Amounts are integer minor units of the currency beside them, dates are calendar dates as text.

const id = () => text().primaryKey()
const createdAt = () => text().notNull()
/** Set instead of deleting, so that deleting can be undone. */
const deletedAt = () => text()

export const workloads = sqliteTable('workloads', {
  id: id(),
  name: text().notNull(),
  kind: text().notNull(),
  graphicsMs: real().notNull(),
  cpuMs: real().notNull(),
  pixelExponent: real().notNull(),
  threadsWanted: integer().notNull(),
  lowShareGraphics: real().notNull(),
  lowShareCpu: real().notNull(),
  presets: text({ mode: 'json' }).$type<Record<string, PresetCost>>().notNull(),
  upscaling: text({ mode: 'json' }).$type<Record<string, number>>().notNull(),
  frameGenerationFactor: real().notNull(),
  priorSpread: real().notNull(),
})

export const sources = sqliteTable('sources', {
  id: id(),
  name: text().notNull(),
  kind: text().$type<'classifieds' | 'auction' | 'refurbisher' | 'shop' | 'counter'>().notNull(),
  currency: text().notNull(),
  taxPercent: real().notNull(),
  taxOnShipping: integer({ mode: 'boolean' }).notNull(),
  shippingKind: text().$type<'none' | 'per-item' | 'per-order'>().notNull(),
  shippingAmount: integer().notNull(),
  shippingFreeFrom: integer(),
  paymentFeePercent: real().notNull(),
  sellerFeePercent: real().notNull(),
  protection: text().$type<Protection>().notNull(),
  note: text().notNull(),
  /** What comes on top of an order from abroad; the sum of items below which nothing does, minor units. */
  importDutyPercent: real().notNull().default(0),
  importTaxPercent: real().notNull().default(0),
  importFreeUnder: integer().notNull().default(0),
  /** Percent for paying in another currency. */
  exchangeFeePercent: real().notNull().default(0),
})

export const parts = sqliteTable('parts', {
  id: id(),
  role: text().$type<Role>().notNull(),
  make: text().notNull(),
  name: text().notNull(),
  facts: text({ mode: 'json' }).$type<PartFacts>().notNull(),
  /** The builder's price query; null: derived from the facts. */
  query: text({ mode: 'json' }).$type<QuerySettings>(),
})

export const imports = sqliteTable('imports', {
  id: integer().primaryKey({ autoIncrement: true }),
  kind: text().notNull(),
  fileName: text().notNull(),
  createdAt: createdAt(),
  added: integer().notNull(),
  alreadyThere: integer().notNull(),
  rejected: integer().notNull(),
})

export const soldRecords = sqliteTable(
  'sold_records',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    source: text().notNull(),
    externalId: text().notNull(),
    title: text().notNull(),
    price: integer().notNull(),
    shipping: integer().notNull(),
    currency: text().notNull(),
    soldOn: text().notNull(),
    manner: text().$type<Manner>().notNull(),
    condition: text().$type<Condition>().notNull(),
    quantity: integer(),
    importId: integer().references(() => imports.id),
  },
  (table) => [
    uniqueIndex('sold_records_identity').on(table.source, table.externalId),
    index('sold_records_date').on(table.soldOn),
  ],
)

export const recordOverrides = sqliteTable(
  'record_overrides',
  {
    partId: text()
      .notNull()
      .references(() => parts.id),
    recordId: integer()
      .notNull()
      .references(() => soldRecords.id),
    decision: text().$type<Override>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.partId, table.recordId] })],
)

export const exchangeRates = sqliteTable(
  'exchange_rates',
  {
    date: text().notNull(),
    from: text().notNull(),
    to: text().notNull(),
    rate: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.date, table.from, table.to] })],
)

export const shopPrices = sqliteTable(
  'shop_prices',
  {
    sourceId: text()
      .notNull()
      .references(() => sources.id),
    partId: text()
      .notNull()
      .references(() => parts.id),
    date: text().notNull(),
    price: integer().notNull(),
    currency: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sourceId, table.partId, table.date] }),
    index('shop_prices_part').on(table.partId),
  ],
)

export const builds = sqliteTable('builds', {
  id: id(),
  name: text().notNull(),
  purpose: text().notNull(),
  currency: text().notNull(),
  region: text().notNull(),
  budget: integer().notNull(),
  stretch: integer().notNull(),
  wantedBy: text(),
  houseRules: text({ mode: 'json' }).$type<HouseRules>().notNull(),
  needs: text({ mode: 'json' }).$type<NeedEntry[]>().notNull(),
  /** For the builder alone; and what a buyer may read. */
  privateNote: text().notNull().default(''),
  saleText: text().notNull().default(''),
  /** Keys of findings mended by hand. */
  settled: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
  /** The build this one is a variant of, and the choices of that one that it does without. */
  variantOf: text(),
  dropped: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
  /** How it is weighed; null: by the defaults. */
  weighing: text({ mode: 'json' }).$type<WeighingSettings>(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

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
  averageFps: real().notNull(),
  lowFps: real(),
})

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
    state: text().$type<'open' | 'passed'>().notNull(),
    passReason: text().notNull().default(''),
    /** Text of the listing, from which its facts are read; and the builder's own answers, which hold over it. */
    text: text().notNull().default(''),
    answers: text({ mode: 'json' }).$type<Record<string, Answer>>().notNull().default({}),
    /** Signs of its risk by the builder's word: seen or not; others are read from the text. */
    signs: text({ mode: 'json' }).$type<Partial<Record<FaultSign, boolean>>>().notNull().default({}),
    /** What it makes necessary, minor units of its currency. */
    extras: text({ mode: 'json' }).$type<{ label: string; amount: number }[]>().notNull().default([]),
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

/** A source's address that is asked again and again. */
export const connectors = sqliteTable('connectors', {
  id: id(),
  sourceId: text()
    .notNull()
    .references(() => sources.id),
  kind: text().$type<'sold-csv' | 'lead-feed' | 'shop-csv'>().notNull(),
  url: text().notNull(),
  everyMinutes: integer().notNull(),
  /** Private and loopback addresses are refused unless this says otherwise. */
  allowPrivate: integer({ mode: 'boolean' }).notNull(),
  paused: integer({ mode: 'boolean' }).notNull(),
  /** Polls that failed one after another; each doubles the wait. */
  failures: integer().notNull(),
  /** ISO time from which the next poll may run by the schedule. */
  dueAt: text().notNull(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

export const polls = sqliteTable(
  'polls',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    connectorId: text()
      .notNull()
      .references(() => connectors.id),
    startedAt: text().notNull(),
    finishedAt: text(),
    outcome: text().$type<'running' | 'done' | 'failed' | 'cut-short'>().notNull(),
    added: integer().notNull(),
    changed: integer().notNull(),
    alreadyThere: integer().notNull(),
    vanished: integer().notNull(),
    rejected: integer().notNull(),
    /** Rejected lines and entries, the first of them, each with where and why. */
    problems: text({ mode: 'json' }).$type<PollProblem[]>().notNull(),
    message: text().notNull(),
  },
  (table) => [index('polls_connector').on(table.connectorId)],
)

/** A dated price read, kept so that a later one can be held against it. */
export const priceReads = sqliteTable(
  'price_reads',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    partId: text()
      .notNull()
      .references(() => parts.id),
    readOn: text().notNull(),
    currency: text().notNull(),
    patient: integer().notNull(),
    typical: integer().notNull(),
    hurried: integer().notNull(),
    low: integer().notNull(),
    high: integer().notNull(),
    kept: integer().notNull(),
    grade: text().$type<Grade>().notNull(),
    /** The query it was read with. */
    query: text({ mode: 'json' }).$type<QuerySettings>().notNull(),
    note: text().notNull(),
    deletedAt: deletedAt(),
  },
  (table) => [index('price_reads_part').on(table.partId)],
)

/** A query kept under a name, to be used on other parts. */
export const queryRecipes = sqliteTable('query_recipes', {
  id: id(),
  name: text().notNull(),
  settings: text({ mode: 'json' }).$type<RecipeSettings>().notNull(),
  deletedAt: deletedAt(),
})

/** The builder's own idea of a price. */
export const ownFigures = sqliteTable('own_figures', {
  partId: text()
    .primaryKey()
    .references(() => parts.id),
  amount: integer().notNull(),
  currency: text().notNull(),
  note: text().notNull(),
  setOn: text().notNull(),
})

export const lookouts = sqliteTable('lookouts', {
  id: id(),
  buildId: text()
    .notNull()
    .references(() => builds.id),
  partId: text()
    .notNull()
    .references(() => parts.id),
  /** Pay-up-to price landed, minor units of the build's currency. */
  limit: integer().notNull(),
  createdAt: createdAt(),
  deletedAt: deletedAt(),
})

/** Hits the builder has seen to. */
export const lookoutSeen = sqliteTable(
  'lookout_seen',
  {
    lookoutId: text()
      .notNull()
      .references(() => lookouts.id),
    leadId: text()
      .notNull()
      .references(() => leads.id),
    seenOn: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.lookoutId, table.leadId] })],
)

export const guideOpinions = sqliteTable('guide_opinions', {
  id: id(),
  partId: text()
    .notNull()
    .references(() => parts.id),
  guide: text().notNull(),
  saidOn: text().notNull(),
  verdict: text().$type<OpinionVerdict>().notNull(),
  note: text().notNull(),
  deletedAt: deletedAt(),
})

/** A launch or a season that may move the prices of a role or a part. */
export const waitNotes = sqliteTable('wait_notes', {
  id: id(),
  role: text().$type<Role>().notNull(),
  /** Null: every part of the role. */
  partId: text().references(() => parts.id),
  what: text().notNull(),
  expectedOn: text().notNull(),
  dropPercent: real().notNull(),
  chance: real().notNull(),
  deletedAt: deletedAt(),
})

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
  validUntil: text(),
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

/** A drive that fetches one thing or several. */
export const trips = sqliteTable('trips', {
  id: id(),
  buildId: text()
    .notNull()
    .references(() => builds.id),
  name: text().notNull(),
  km: real().notNull(),
  /** Minor units of the build's currency. */
  fare: integer().notNull(),
  hours: real().notNull(),
  deletedAt: deletedAt(),
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

/** Money and hours of a build. Nothing is ever changed or taken out: a correction is an entry. */
export const ledgerEntries = sqliteTable(
  'ledger_entries',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    day: text().notNull(),
    kind: text().$type<EntryKind>().notNull(),
    /** Minor units of the build's currency, below zero where money left. */
    cash: integer().notNull(),
    hours: real().notNull(),
    choiceId: text().references(() => choices.id),
    text: text().notNull(),
    /** The entry this one corrects. */
    correctsId: text(),
    createdAt: createdAt(),
  },
  (table) => [index('ledger_build').on(table.buildId)],
)

/** What came out of the box. The newest of a choice stands. */
export const arrivals = sqliteTable(
  'arrivals',
  {
    id: id(),
    choiceId: text()
      .notNull()
      .references(() => choices.id),
    day: text().notNull(),
    verdict: text().$type<ArrivalVerdict>().notNull(),
    /** The part it turned out to be, where it is another than listed. */
    foundPartId: text().references(() => parts.id),
    checks: text({ mode: 'json' }).$type<string[]>().notNull(),
    note: text().notNull(),
    /** Last day to send it back, and how far that is. */
    returnBy: text(),
    returnState: text().$type<'to-send' | 'sent' | 'refunded'>(),
    createdAt: createdAt(),
  },
  (table) => [index('arrivals_choice').on(table.choiceId)],
)

/** Measured results. The machine is kept as it was, so that a part changed later does not rewrite them. */
export const runs = sqliteTable(
  'runs',
  {
    id: id(),
    workloadId: text()
      .notNull()
      .references(() => workloads.id),
    cpuId: text().references(() => parts.id),
    graphicsId: text().references(() => parts.id),
    /** Null in runs noted before machines were kept: then read from the library. */
    machine: text({ mode: 'json' }).$type<FrameMachine | null>(),
    memoryChannels: integer().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    preset: text().notNull(),
    upscaling: text(),
    frameGeneration: integer({ mode: 'boolean' }).notNull().default(false),
    scene: text().notNull().default(''),
    averageFps: real().notNull(),
    lowFps: real(),
    minFps: real(),
    maxFps: real(),
    kind: text().$type<RunKind>().notNull(),
    /** Where and by whom it was published, or the console it is of. */
    origin: text().notNull().default(''),
    ranOn: text().notNull(),
    note: text().notNull(),
    repeats: text({ mode: 'json' }).$type<Repeat[]>().notNull().default([]),
    conditions: text({ mode: 'json' })
      .$type<RunConditions>()
      .notNull()
      .default(sql`'{}'`),
    readings: text({ mode: 'json' })
      .$type<RunReadings>()
      .notNull()
      .default(sql`'{}'`),
    lowsCause: text().$type<LowsCause>(),
    noise: text().$type<Noise>(),
    feeling: text().$type<Feeling>(),
    overruled: integer({ mode: 'boolean' }).notNull().default(false),
    /** The build it was measured on, where it was one. */
    buildId: text(),
    deletedAt: deletedAt(),
  },
  (table) => [index('runs_workload').on(table.workloadId)],
)

/** Frame times of a run's log, ms as 32-bit floats one after the other. */
export const frameLogs = sqliteTable(
  'frame_logs',
  {
    id: id(),
    runId: text()
      .notNull()
      .references(() => runs.id),
    name: text().notNull(),
    frames: integer().notNull(),
    times: blob({ mode: 'buffer' }).notNull(),
    addedOn: text().notNull(),
  },
  (table) => [index('frame_logs_run').on(table.runId)],
)

/** Estimates frozen when the parts were bought; nothing changes them. */
export const forecasts = sqliteTable(
  'forecasts',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    workloadId: text()
      .notNull()
      .references(() => workloads.id),
    cpuId: text().notNull(),
    graphicsId: text().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    preset: text().notNull(),
    averageFps: real().notNull(),
    low: real().notNull(),
    high: real().notNull(),
    madeOn: text().notNull(),
  },
  (table) => [
    uniqueIndex('forecasts_identity').on(
      table.buildId,
      table.workloadId,
      table.cpuId,
      table.graphicsId,
      table.width,
      table.height,
      table.preset,
    ),
  ],
)

/** Work that is no game, and what machines took for it. */
export const workTasks = sqliteTable('work_tasks', {
  id: id(),
  name: text().notNull(),
  unit: text().notNull(),
  lessIsBetter: integer({ mode: 'boolean' }).notNull(),
  threadsExponent: real().notNull(),
  mostThreads: integer().notNull(),
})

export const workResults = sqliteTable(
  'work_results',
  {
    id: id(),
    taskId: text()
      .notNull()
      .references(() => workTasks.id),
    cpuId: text()
      .notNull()
      .references(() => parts.id),
    value: real().notNull(),
    feeling: text().$type<Feeling>(),
    kind: text().$type<'own-reading' | 'published'>().notNull(),
    buildId: text(),
    ranOn: text().notNull(),
    note: text().notNull(),
    deletedAt: deletedAt(),
  },
  (table) => [index('work_results_task').on(table.taskId)],
)

export const rivals = sqliteTable('rivals', {
  id: id(),
  kind: text().$type<'prebuilt' | 'console' | 'configured' | 'own'>().notNull(),
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
  averageFps: real().notNull(),
  lowFps: real(),
  note: text().notNull(),
})

/** Frozen, dated copies of builds; nothing changes them. */
export const editions = sqliteTable(
  'editions',
  {
    id: id(),
    buildId: text()
      .notNull()
      .references(() => builds.id),
    name: text().notNull(),
    frozenOn: text().notNull(),
    content: text({ mode: 'json' }).$type<EditionContent>().notNull(),
    createdAt: createdAt(),
    deletedAt: deletedAt(),
  },
  (table) => [index('editions_build').on(table.buildId)],
)

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
