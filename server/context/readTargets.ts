import { evidenceAt } from '#core/performance/fitting/limitEvidence'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { judgeTarget } from '#core/performance/model/judgeTarget'
import { frameMachineOf, machinePair } from '#core/performance/model/machineOf'
import { excludedBecause } from '#core/performance/runs/run'
import { throttleNote } from '#core/performance/runs/throttling'
import type { Part } from '#core/parts/part'
import type { TargetView } from '#shared/bench/views'
import type { targets } from '../db/schema/brief'
import type { Performance } from './performance'

/** Each target of the brief with its estimate, what was measured at its settings, and whether it is met. */
export function readTargets(
  rows: readonly (typeof targets.$inferSelect)[],
  parts: readonly Part[],
  performance: Performance,
): TargetView[] {
  const { machine, missing } = frameMachineOf(parts)
  const pair = machinePair(parts)
  const heat = throttleNote(performance.runs.filter((run) => pair !== null && run.pair === pair))
  return rows.map((row): TargetView => {
    const workload = performance.workloads.find((each) => each.id === row.workloadId)!
    const evidence = pair === null ? [] : evidenceAt(performance.evidence, workload, pair, row)
    const estimate = machine ? estimateFrameRate(workload, machine, row, evidence) : null
    const measured = pair === null ? [] : measuredAt(performance, pair, row)
    const own = measured.find((run) => run.stands)
    return {
      ...row,
      workload: workload.name,
      estimate,
      verdict: own ? judgeTarget(exactly(own), row) : estimate ? judgeTarget(estimate, row) : null,
      missing,
      heat,
      measured,
    }
  })
}

/**
 * Measured results of a pair of parts at the settings of a target and in the reference scene; the one that stands in
 * for the estimate first.
 */
function measuredAt({ runs, rows }: Performance, pair: string, target: Settings): TargetView['measured'] {
  const found = runs.flatMap((run, index) => {
    const row = rows[index]!
    if (run.pair !== pair || run.scene !== '' || !sameSettings(row, target)) return []
    const excluded = excludedBecause(run)
    return [
      {
        id: run.id,
        averageFps: run.averageFps,
        lowFps: run.lowFps,
        kind: run.kind,
        ranOn: row.ranOn,
        note: row.note,
        excluded,
        stands: excluded === null && run.kind !== 'published',
      },
    ]
  })
  return found.sort(
    (a, b) =>
      Number(b.stands) - Number(a.stands) ||
      Number(b.kind === 'own-log') - Number(a.kind === 'own-log') ||
      (a.ranOn < b.ranOn ? 1 : -1),
  )
}

function exactly({
  averageFps,
  lowFps,
}: {
  averageFps: number
  lowFps: number | null
}): Parameters<typeof judgeTarget>[0] {
  // a low that was not noted cannot miss its mark
  const low = lowFps ?? Infinity
  return { range: { low: averageFps, high: averageFps }, lowRange: { low, high: low } }
}

interface Settings {
  workloadId: string
  width: number
  height: number
  preset: string | null
  upscaling: string | null
  frameGeneration: boolean
}

function sameSettings(a: Settings, b: Settings): boolean {
  return (
    a.workloadId === b.workloadId &&
    a.width === b.width &&
    a.height === b.height &&
    a.preset === b.preset &&
    a.upscaling === b.upscaling &&
    a.frameGeneration === b.frameGeneration
  )
}
