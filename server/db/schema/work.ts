import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Feeling } from '../../../core/performance/model/throughput'
import type { PresetCost } from '../../../core/performance/model/workload'
import { deletedAt, id } from './columns'
import { parts } from './parts'

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
  frameCap: real(),
  systemMemoryGb: real(),
})

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
