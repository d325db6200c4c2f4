import { inArray } from 'drizzle-orm'
import { fitWorkload } from '#core/performance/fitting/fitWorkload'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { limitEvidence, type LimitEvidence } from '#core/performance/fitting/limitEvidence'
import { pairOf } from '#core/performance/model/machineOf'
import { noReadings, plainConditions, type FrameRun } from '#core/performance/runs/run'
import type { Workload } from '#core/performance/model/workload'
import type { PartFacts } from '#core/parts/part'
import type { Queryable } from '../db/client'
import { parts } from '../db/schema/parts'
import type { runs } from '../db/schema/bench'
import { reading, sameContent, sameMembers } from '../readings/reading'
import { useWorld } from '../readings/useWorld'
import { workloadsOf } from './workloads'

export type RunRow = typeof runs.$inferSelect

/** What all measurements say: workloads as fitted to them, and which side limits. */
export interface Performance {
  readonly workloads: readonly Workload[]
  readonly runs: readonly FrameRun[]
  readonly rows: readonly RunRow[]
  readonly evidence: readonly LimitEvidence[]
}

/** What the performance is read from. */
export const performanceTables = ['runs', 'workloads', 'parts', 'settings'] as const

/** Every workload fitted to its runs. */
export async function usePerformance(db: Pick<Queryable, 'select'>): Promise<Performance> {
  return performanceOf((await useWorld(db)).unless(performanceTables))
}

const byDay = (a: RunRow, b: RunRow) =>
  a.ranOn < b.ranOn ? -1 : a.ranOn > b.ranOn ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0

const runRows = reading('runs', (world) => world.rows.runs.where('deletedAt', null).toSorted(byDay), {
  same: sameMembers,
})

const frameRuns = reading(
  'runs of machines',
  (world) => {
    const { parts } = world.rows
    return runRows(world).map((row) => frameRunOf(row, { get: (id) => parts.one('id', id)?.facts }))
  },
  { same: sameContent },
)

const priors = reading('workloads', workloadsOf, { same: sameContent })

export const performanceOf = reading('performance', (world): Performance => {
  const runs = frameRuns(world)
  const fitted = priors(world).map((workload) => fitWorkload(workload, runs))
  // loads of the card are compared by the exponent in force
  return {
    workloads: fitted,
    runs,
    rows: runRows(world),
    evidence: fitted.flatMap((workload) => limitEvidence(workload, runs)),
  }
})

/** A stored run as core wants it. */
export function frameRunOf(row: RunRow, facts: { get(id: string): PartFacts | undefined }): FrameRun {
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
