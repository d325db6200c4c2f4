import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { inverse, Matrix } from 'ml-matrix'
import { groupBy } from '../../collections/groupBy'
import { estimateMethod } from '../model/estimateFrameRate'
import { modelOf, frameTime, megapixels } from '../model/frameTime'
import { fitLows } from './fitLows'
import { excludedBecause, isAtCap, runKinds, type FrameRun } from '../runs/run'
import type { RunResidual, Workload } from '../model/workload'

/** Assumptions of the fit; documented defaults. */
export const fitAssumptions = {
  /** Spread of one own log about a perfect model, in ln t. */
  runSpread: 0.05,
  /** Prior standard deviation of ln of a scene's factor. */
  sceneSpread: 0.25,
  /** The residual spread is never believed to be less. */
  leastResidualSpread: 0.03,
  /** How many runs the prior of the residual spread is worth. */
  priorRuns: 4,
  leastPixelExponent: 0.1,
} as const

/** A run as the fit sees it: what was measured, in ln ms, and the machine it was measured on. */
interface Observation {
  readonly run: FrameRun & { readonly machine: NonNullable<FrameRun['machine']> }
  readonly lnTime: number
  readonly weight: number
  /** Within 3 % of a limiter, a screen rate or the engine's own limit. */
  readonly isCapped: boolean
}

/**
 * Fits a workload's a, b, α, low shares and scenes to its runs: regularised least squares on ln t by
 * Levenberg–Marquardt, with the library's defaults as priors (ln a and ln b within the workload's own prior spread, α
 * within 0.06, the ln of a scene's factor within 0.25) and runs weighted by their kind. Runs that are excluded do
 * not count. Without a run that counts the workload comes back as it is.
 *
 * s² = (4 · 0.05² + Σ r²) / (4 + n), at least 0.03², where r leaves out all runs on the same pair of parts.
 * O(pairs · n). The order of the runs does not matter.
 */
export function fitWorkload(workload: Workload, runs: readonly FrameRun[]): Workload {
  const observations = observe(workload, runs)
  if (observations.length === 0) return workload
  const scenes = [...new Set(observations.map(({ run }) => run.scene).filter((scene) => scene !== ''))].sort()
  const problem: Problem = { workload, scenes }
  const parameters = solve(problem, observations, priorOf(problem), 20)
  const residuals = residualsOf(problem, observations, parameters)
  const residualSpread = spreadOf(residuals, modelOf(workload).residualSpread)
  const fitted = withParameters(problem, parameters)
  const lows = fitLows(
    workload,
    fitted,
    observations.map(({ run, weight }) => ({ run, machine: run.machine, weight })),
  )
  const { graphicsMs, cpuMs, pixelExponent, lowShare } = workload
  return {
    ...fitted,
    lowShare: lows.lowShare,
    fit: {
      runs: observations.length,
      residualSpread,
      lowSpread: lows.spread,
      covariance: covariance(problem, observations, parameters, residualSpread),
      scenes: Object.fromEntries(scenes.map((scene, index) => [scene, Math.exp(parameters[3 + index]!)])),
      residuals,
      prior: { graphicsMs, cpuMs, pixelExponent, lowShare },
    },
  }
}

interface Problem {
  readonly workload: Workload
  readonly scenes: readonly string[]
}

/** (ln a, ln b, α, ln of each scene's factor). */
type Parameters = readonly number[]

function observe(workload: Workload, runs: readonly FrameRun[]): Observation[] {
  return runs
    .filter(
      (run) =>
        run.workloadId === workload.id &&
        run.averageFps > 0 &&
        workload.presets[run.settings.preset] !== undefined &&
        excludedBecause(run) === null,
    )
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .map((run) => {
      // generated frames are counted by the reading, not by the model
      const real = run.averageFps / (run.settings.frameGeneration ? workload.frameGenerationFactor : 1)
      return {
        run: run as Observation['run'],
        lnTime: Math.log(1000 / real),
        weight: runKinds[run.kind].weight,
        isCapped: isAtCap(run, workload),
      }
    })
}

function priorOf({ workload, scenes }: Problem): Parameters {
  return [
    Math.log(workload.graphicsMs),
    Math.log(workload.cpuMs),
    workload.pixelExponent,
    ...scenes.map(() => 0),
  ]
}

function priorSpreads({ workload, scenes }: Problem): number[] {
  return [
    workload.priorSpread,
    workload.priorSpread,
    estimateMethod.pixelExponentSpread,
    ...scenes.map(() => fitAssumptions.sceneSpread),
  ]
}

function withParameters({ workload }: Problem, [lnA, lnB, exponent]: Parameters): Workload {
  return { ...workload, graphicsMs: Math.exp(lnA!), cpuMs: Math.exp(lnB!), pixelExponent: exponent! }
}

/** ln of the frame time the parameters give a run, with its gradient. */
function predict(
  problem: Problem,
  parameters: Parameters,
  { run, lnTime, isCapped }: Observation,
): { readonly lnTime: number; readonly gradient: number[] } {
  const { frameMs, graphicsShare } = frameTime(withParameters(problem, parameters), run.machine, run.settings)
  const scene = problem.scenes.indexOf(run.scene)
  const free = Math.log(frameMs) + (scene < 0 ? 0 : parameters[3 + scene]!)
  // at its cap a run says only "at least as fast": it counts where the model is slower
  if (isCapped && free <= lnTime) return { lnTime, gradient: [0, 0, 0, ...problem.scenes.map(() => 0)] }
  return {
    lnTime: free,
    gradient: [
      graphicsShare,
      1 - graphicsShare,
      graphicsShare * Math.log(megapixels(run.settings)),
      ...problem.scenes.map((_, index) => (index === scene ? 1 : 0)),
    ],
  }
}

/** Runs and priors as rows of one least-squares problem, each divided by its spread. */
function solve(
  problem: Problem,
  observations: readonly Observation[],
  start: Parameters,
  maxIterations: number,
): Parameters {
  const prior = priorOf(problem)
  const spreads = priorSpreads(problem)
  const scale = (observation: Observation) => Math.sqrt(observation.weight) / fitAssumptions.runSpread
  const n = observations.length
  const rows = Array.from({ length: n + prior.length }, (_, index) => index)
  const y = rows.map((row) =>
    row < n ? observations[row]!.lnTime * scale(observations[row]!) : prior[row - n]! / spreads[row - n]!,
  )
  const model = (parameters: number[]) => (row: number) =>
    row < n
      ? predict(problem, parameters, observations[row]!).lnTime * scale(observations[row]!)
      : parameters[row - n]! / spreads[row - n]!
  const jacobian = (parameters: number[]) => (row: number) => {
    if (row < n)
      return predict(problem, parameters, observations[row]!).gradient.map(
        (value) => value * scale(observations[row]!),
      )
    return parameters.map((_, index) => (index === row - n ? 1 / spreads[index]! : 0))
  }
  return levenbergMarquardt({ x: rows, y }, model, {
    initialValues: [...start],
    jacobianFunction: jacobian,
    maxIterations,
    damping: 1e-3,
    errorTolerance: 1e-10,
    minValues: prior.map((_, index) => (index === 2 ? fitAssumptions.leastPixelExponent : -20)),
    maxValues: prior.map((_, index) => (index === 2 ? 3 : 20)),
  }).parameterValues
}

function residualsOf(
  problem: Problem,
  observations: readonly Observation[],
  parameters: Parameters,
): RunResidual[] {
  const residual = (at: Parameters, observation: Observation) =>
    observation.lnTime - predict(problem, at, observation).lnTime
  return [...groupBy(observations, ({ run }) => run.pair)].flatMap(([pair, own]) => {
    const without = solve(
      problem,
      observations.filter(({ run }) => run.pair !== pair),
      parameters,
      6,
    )
    return own.map((observation) => ({
      runId: observation.run.id,
      pair: observation.run.pair,
      fitted: residual(parameters, observation),
      leftOut: residual(without, observation),
      weight: observation.weight,
    }))
  })
}

function spreadOf(residuals: readonly RunResidual[], residualSpread: number): number {
  const { priorRuns, leastResidualSpread } = fitAssumptions
  const squares = residuals.reduce((sum, each) => sum + each.leftOut ** 2, 0)
  return Math.max(
    leastResidualSpread,
    Math.sqrt((priorRuns * residualSpread ** 2 + squares) / (priorRuns + residuals.length)),
  )
}

/** Top corner, (ln a, ln b, α), of (Σ w J Jᵀ / s² + P⁻¹)⁻¹. */
function covariance(
  problem: Problem,
  observations: readonly Observation[],
  parameters: Parameters,
  residualSpread: number,
): number[][] {
  const information = Matrix.diag(priorSpreads(problem).map((spread) => 1 / spread ** 2))
  for (const observation of observations) {
    const j = Matrix.columnVector(predict(problem, parameters, observation).gradient)
    information.add(j.mmul(j.transpose()).mul(observation.weight / residualSpread ** 2))
  }
  return inverse(information).subMatrix(0, 2, 0, 2).to2DArray()
}
