import { inverse, Matrix } from 'ml-matrix'
import { frameTime, modelOf, type FrameMachine } from '../model/frameTime'
import type { FrameRun } from '../runs/run'
import type { Workload } from '../model/workload'

/** Prior standard deviation of a low share, and the lowest share believed. */
const priorSpread = 0.06
const lowest = 0.05
const priorRuns = 4

/**
 * The 1 % low as a share of the average where graphics limits and where the CPU does, by ridge regression:
 * low / average · what divides the lows = s · graphics share + (1 − s) · CPU share, the library's shares as prior. Runs
 * without a low say nothing. Linear, so solved exactly.
 *
 * @param workload as the library has it; `fitted` with its frame times fitted, from which s is read
 */
export function fitLows(
  workload: Workload,
  fitted: Workload,
  runs: readonly { readonly run: FrameRun; readonly machine: FrameMachine; readonly weight: number }[],
): { readonly lowShare: Workload['lowShare']; readonly spread: number } {
  const prior = workload.lowShare
  const rows = runs.flatMap(({ run, machine, weight }) => {
    if (run.lowFps === null) return []
    const { graphicsShare, lowsFactor } = frameTime(fitted, machine, run.settings)
    return [{ s: graphicsShare, share: (run.lowFps / run.averageFps) * lowsFactor, weight }]
  })
  const { residualSpread } = modelOf(workload)
  const [precision, one] = [1 / priorSpread ** 2, 1 / residualSpread ** 2]
  const left = Matrix.diag([precision, precision])
  const right = Matrix.columnVector([precision * prior.graphics, precision * prior.cpu])
  for (const { s, share, weight } of rows) {
    const x = Matrix.columnVector([s, 1 - s])
    left.add(x.mmul(x.transpose()).mul(weight * one))
    right.add(Matrix.mul(x, weight * one * share))
  }
  const solved = inverse(left).mmul(right)
  const within = (share: number) => Math.min(1, Math.max(lowest, share))
  const lowShare = { graphics: within(solved.get(0, 0)), cpu: within(solved.get(1, 0)) }
  const squares = rows.reduce(
    (sum, { s, share }) => sum + Math.log(share / (s * lowShare.graphics + (1 - s) * lowShare.cpu)) ** 2,
    0,
  )
  return {
    lowShare,
    spread: Math.sqrt((priorRuns * residualSpread ** 2 + squares) / (priorRuns + rows.length)),
  }
}
