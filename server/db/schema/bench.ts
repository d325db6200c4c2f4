import { sql } from 'drizzle-orm'
import { blob, index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { FrameMachine } from '../../../core/performance/model/frameTime'
import type { Feeling } from '../../../core/performance/model/throughput'
import type { Noise } from '../../../core/performance/runs/livingWithIt'
import type {
  LowsCause,
  Repeat,
  RunConditions,
  RunKind,
  RunReadings,
} from '../../../core/performance/runs/run'
import { builds } from './builds'
import { deletedAt, id } from './columns'
import { parts } from './parts'
import { workloads } from './work'

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
