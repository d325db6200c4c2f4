import { inArray, isNull } from 'drizzle-orm'
import { fitWorkload } from '#core/performance/fitting/fitWorkload'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { limitEvidence, type LimitEvidence } from '#core/performance/fitting/limitEvidence'
import { pairOf } from '#core/performance/model/machineOf'
import { noReadings, plainConditions, type FrameRun } from '#core/performance/runs/run'
import type { Workload } from '#core/performance/model/workload'
import type { PartFacts } from '#core/parts/part'
import type { Database, Queryable } from '../db/client'
import { parts } from '../db/schema/parts'
import { runs } from '../db/schema/bench'
import { loadWorkloads } from './workloads'

export type RunRow = typeof runs.$inferSelect

/** What all measurements say: workloads as fitted to them, and which side limits. */
export interface Performance {
  readonly workloads: readonly Workload[]
  readonly runs: readonly FrameRun[]
  readonly rows: readonly RunRow[]
  readonly evidence: readonly LimitEvidence[]
}

const known = new WeakMap<object, Promise<Performance>>()

/** To be called after a write to runs, workloads or parts: the next reading fits again. */
export function performanceChanged(db: object): void {
  known.delete(db)
}

/** Lets a transaction read by what is known of its database, which it does not change. */
export function lendPerformance(db: object, to: object): void {
  const performance = known.get(db)
  if (performance) known.set(to, performance)
}

/** Every workload fitted to its runs; kept in memory until a run, workload or part changes. */
export function usePerformance(db: Database): Promise<Performance> {
  const kept = known.get(db)
  if (kept) return kept
  const loaded = loadPerformance(db)
  known.set(db, loaded)
  loaded.catch(() => known.delete(db))
  return loaded
}

async function loadPerformance(db: Database): Promise<Performance> {
  const [priors, rows, partRows] = await Promise.all([
    loadWorkloads(db),
    db.select().from(runs).where(isNull(runs.deletedAt)).orderBy(runs.ranOn, runs.id),
    db.select({ id: parts.id, facts: parts.facts }).from(parts),
  ])
  const facts = new Map(partRows.map((part) => [part.id, part.facts]))
  const all = rows.map((row) => frameRunOf(row, facts))
  const fitted = priors.map((workload) => fitWorkload(workload, all))
  // loads of the card are compared by the exponent in force
  return {
    workloads: fitted,
    runs: all,
    rows,
    evidence: fitted.flatMap((workload) => limitEvidence(workload, all)),
  }
}

/** A stored run as core wants it. */
export function frameRunOf(row: RunRow, facts: ReadonlyMap<string, PartFacts>): FrameRun {
  const {
    id,
    workloadId,
    kind,
    scene,
    averageFps,
    lowFps,
    repeats,
    lowsCause,
    overruled,
    width,
    height,
    preset,
    upscaling,
    frameGeneration,
  } = row
  const machine =
    row.machine ??
    (row.cpuId === null || row.graphicsId === null
      ? null
      : machineFrom(facts.get(row.cpuId), facts.get(row.graphicsId), row.memoryChannels))
  return {
    id,
    workloadId,
    kind,
    scene,
    averageFps,
    lowFps,
    repeats,
    lowsCause,
    overruled,
    machine,
    pair: row.cpuId === null || row.graphicsId === null ? row.origin : pairOf(row.cpuId, row.graphicsId),
    settings: { width, height, preset, frameGeneration, ...(upscaling === null ? {} : { upscaling }) },
    conditions: { ...plainConditions, ...row.conditions },
    readings: { ...noReadings, ...row.readings },
  }
}

/** The machine of a CPU and a card by their facts; null where an index is not known. */
export function machineFrom(
  cpu: PartFacts | undefined,
  card: PartFacts | undefined,
  memoryChannels: number,
): FrameMachine | null {
  if (cpu?.cpuIndex === undefined || card?.graphicsIndex === undefined) return null
  return {
    cpuIndex: cpu.cpuIndex,
    threads: cpu.threads ?? cpu.cores ?? 4,
    ...(cpu.cores === undefined ? {} : { cores: cpu.cores }),
    graphicsIndex: card.graphicsIndex,
    videoMemoryGb: card.vramGb ?? 2,
    memoryChannels,
  }
}

/** Facts of parts by id; what is not there is left out. */
export async function factsOf(tx: Queryable, ids: readonly string[]): Promise<Map<string, PartFacts>> {
  if (ids.length === 0) return new Map()
  return new Map(
    (
      await tx
        .select({ id: parts.id, facts: parts.facts })
        .from(parts)
        .where(inArray(parts.id, [...ids]))
    ).map((part) => [part.id, part.facts]),
  )
}

/** The highest wall draw measured on a pair of parts, W. */
export function measuredWatts({ runs }: Performance, pair: string | null): number | null {
  const watts = runs.flatMap((run) => (run.pair === pair ? (run.readings.wallW ?? []) : []))
  return watts.length === 0 ? null : Math.max(...watts)
}
