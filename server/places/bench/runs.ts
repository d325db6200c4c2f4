import { and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { readRuns } from '#core/files/import/runsFile'
import type { LineProblem } from '#core/reading/tables/columns'
import { partLabel } from '#core/parts/part'
import { repeatSummary } from '#core/performance/runs/repeats'
import { noReadings, plainConditions } from '#core/performance/runs/run'
import type { RunInput } from '#shared/bench/schemas'
import { runSchema } from '#shared/bench/schemas'
import type { Database, Queryable } from '#server/db/client'
import { frameLogs, runs } from '#server/db/schema/bench'
import { parts } from '#server/db/schema/parts'
import { workloads } from '#server/db/schema/work'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import type { ImportReport } from '#shared/files/importReport'
import { factsOf, machineFrom } from '#server/context/performance'

const mostFrames = 5_000_000

/** Notes a measured result with the machine as it is now. Where it was repeated, the median of the repeats that count stands. */
export async function addRun(db: Database, input: RunInput, today: string): Promise<{ id: string }> {
  if (input.ranOn > today) throw new CoreError('future-date', { day: input.ranOn }, 'ranOn')
  const id = newId(input.workloadId)
  await db.transaction((tx) => insertRun(tx, id, input))
  return { id }
}

/** Writes a run; what it names must be there. Answers whether it was new. */
export async function insertRun(
  tx: Queryable,
  id: string,
  input: RunInput,
): Promise<{ rowsAffected: number }> {
  const [workload] = await tx.select().from(workloads).where(eq(workloads.id, input.workloadId))
  if (!workload) throw new CoreError('unknown-workload', { workloadId: input.workloadId }, 'workloadId')
  // a console's mode has a name of its own
  if (input.kind !== 'console-mode' && !workload.presets[input.preset])
    throw new CoreError('unknown-preset', { name: workload.name, preset: input.preset }, 'preset')
  if (input.upscaling !== null && workload.upscaling[input.upscaling] === undefined)
    throw new CoreError('unknown-upscaling', { name: workload.name, upscaling: input.upscaling }, 'upscaling')
  const facts = await factsOf(
    tx,
    [input.cpuId, input.graphicsId].filter((part) => part !== null),
  )
  for (const [path, part] of [
    ['cpuId', input.cpuId],
    ['graphicsId', input.graphicsId],
  ] as const) {
    if (part !== null && !facts.has(part)) throw new CoreError('unknown-part', { id: part }, path)
  }
  const summary = input.repeats.length === 0 ? null : repeatSummary(input.repeats)
  if (input.repeats.length > 0 && !summary) throw new CoreError('all-discarded', {}, 'repeats')
  const values = {
    ...input,
    id,
    repeats: [...input.repeats],
    averageFps: summary?.averageFps ?? input.averageFps,
    lowFps: summary ? summary.lowFps : input.lowFps,
    machine: machineFrom(
      facts.get(input.cpuId ?? ''),
      facts.get(input.graphicsId ?? ''),
      input.memoryChannels,
    ),
    conditions: { ...plainConditions, ...input.conditions },
    readings: { ...noReadings, ...input.readings },
  }
  return tx.insert(runs).values(values).onConflictDoNothing()
}

/** Lets an excluded run count, or takes that back; deletes a run or brings it back. */
export async function patchRun(
  db: Database,
  id: string,
  { overruled, deleted }: { overruled?: boolean; deleted?: boolean },
  now: string,
): Promise<void> {
  const set = {
    ...(overruled === undefined ? {} : { overruled }),
    ...(deleted === undefined ? {} : { deletedAt: deleted ? now : null }),
  }
  if (Object.keys(set).length === 0) return
  const { rowsAffected } = await db.update(runs).set(set).where(eq(runs.id, id))
  if (rowsAffected === 0) throw new NotFoundError('run', id)
}

/** Keeps the frame times of a run beside it: 32-bit floats in ms. */
export async function keepFrameLog(
  db: Database,
  runId: string,
  name: string,
  bytes: Uint8Array,
  today: string,
): Promise<{ id: string }> {
  if (bytes.length === 0 || bytes.length % 4 !== 0) throw new CoreError('bad-log', {})
  if (bytes.length / 4 > mostFrames)
    throw new CoreError('log-too-long', { mostFrames: mostFrames.toLocaleString('en') })
  const times = new Float32Array(bytes.slice().buffer)
  const at = times.findIndex((time) => !(time > 0 && Number.isFinite(time)))
  if (at >= 0) throw new CoreError('bad-frame-time', { frame: at + 1, time: times[at]! })
  const [run] = await db
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.id, runId), isNull(runs.deletedAt)))
  if (!run) throw new NotFoundError('run', runId)
  const id = newId('log')
  await db.insert(frameLogs).values({
    id,
    runId,
    name: name.slice(0, 200),
    frames: times.length,
    times: Buffer.from(bytes),
    addedOn: today,
  })
  return { id }
}

export async function frameLogBytes(db: Database, id: string): Promise<Buffer> {
  const [log] = await db.select({ times: frameLogs.times }).from(frameLogs).where(eq(frameLogs.id, id))
  if (!log) throw new NotFoundError('log', id)
  return Buffer.from(log.times)
}

/**
 * Imports a CSV of runs in one transaction; parts and workloads are found by id or by name, what is not found is
 * reported by line.
 */
export async function importRuns(db: Database, text: string, today: string): Promise<ImportReport> {
  const { read, problems } = readRuns(text, today)
  const rejected: LineProblem[] = [...problems]
  let added = 0
  await db.transaction(async (tx) => {
    const [partRows, workloadRows] = [await tx.select().from(parts), await tx.select().from(workloads)]
    const named = <T extends { id: string }>(rows: readonly T[], word: string, nameOf: (row: T) => string) =>
      rows.find((row) => row.id === word || nameOf(row).toLowerCase() === word.toLowerCase())?.id ?? null
    for (const { value, line, raw } of read) {
      const { workload, cpu, graphics, background, cpuUse, cardUse, upscaling, ...rest } = value
      const workloadId = named(workloadRows, workload, (row) => row.name)
      const cpuId = named(
        partRows.filter((part) => part.role === 'cpu'),
        cpu,
        partLabel,
      )
      const graphicsId = named(
        partRows.filter((part) => part.role === 'graphics'),
        graphics,
        partLabel,
      )
      const reject = (reason: string) => rejected.push({ line, code: 'unknown', reason, raw })
      if (workloadId === null) reject(`no workload "${workload}"`)
      else if (cpuId === null) reject(`no CPU "${cpu}"`)
      else if (graphicsId === null) reject(`no card "${graphics}"`)
      else {
        try {
          const run = runSchema.validateSync({
            ...rest,
            workloadId,
            cpuId,
            graphicsId,
            upscaling: upscaling === '' ? null : upscaling,
            conditions: { background },
            readings: { cpuUse, cardUse },
          })
          // the same line again is the same run
          const { rowsAffected } = await insertRun(tx, `csv-${await digest(raw)}`, run)
          added += rowsAffected
        } catch (error) {
          if (!(error instanceof Error)) throw error
          reject(error.message)
        }
      }
    }
  })
  rejected.sort((a, b) => a.line - b.line)
  return {
    added,
    alreadyThere: read.length - (rejected.length - problems.length) - added,
    rejected: rejected.length,
    problems: rejected.slice(0, 500),
  }
}

async function digest(text: string): Promise<string> {
  const bytes = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text)))
  return [...bytes.slice(0, 10)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}
