import { without, wishNames, type BuildQuestion, type WishName } from './buildQuestion'
import { planBuild, type BuildPlan, type PlanGround } from './planBuild'
import type { Solver } from './solvePlan'

/** What a wish costs: the plan with all wishes less the plan without this one. */
export interface WishCost {
  readonly name: WishName
  /** Minor units, 0 and more; null where the plan with it is not possible, or was not proven. */
  readonly cost: number | null
  /** The plan without it; null where there is none either. */
  readonly without: BuildPlan | null
}

/**
 * One wish after the other given up, the others kept. They do not add up: two wishes may hold the same part. Where no
 * plan meets all wishes, those that alone make one possible have a plan without them.
 */
export function* wishCosts(
  question: BuildQuestion,
  plan: BuildPlan,
  solve: Solver,
  ground: PlanGround,
): Generator<WishCost> {
  for (const name of wishNames(question.wishes)) {
    const next = planBuild({ ...question, wishes: without(question.wishes, name) }, solve, ground)
    const isFound = next.status !== 'infeasible'
    yield {
      name,
      cost: isFound && plan.cost !== null && next.cost !== null ? Math.max(0, plan.cost - next.cost) : null,
      without: isFound ? next : null,
    }
  }
}

/** Shares of the wanted frame rates along the curve of cost against the weakest target. */
const steps = [0.6, 0.7, 0.8, 0.9, 1, 1.1, 1.2, 1.3] as const

/** Days along the curve of cost against waiting. */
const waits = [0, 5, 10, 15, 20, 30, 45, 60] as const

/** A point of a curve: its place on it, and the plan there. */
export interface CurvePoint {
  /** Days until all is here, or the share of the wanted frame rates. */
  readonly at: number
  readonly plan: BuildPlan
}

/** Cost against waiting: the same question with all hunts in by other days, whatever it costs. */
export function* waitCurve(
  question: BuildQuestion,
  solve: Solver,
  ground: PlanGround,
): Generator<CurvePoint> {
  // the fastest is asked for a sum; what a machine must cost is what the curve is about otherwise
  const budget = question.goal === 'fastest' ? question.wishes.budget : null
  for (const days of waits) {
    const plan = planBuild({ ...question, wishes: { ...question.wishes, days, budget } }, solve, ground)
    if (plan.status !== 'infeasible') yield { at: days, plan }
  }
}

/** Cost against the weakest target: the same question with all floors lower and higher. */
export function* frameCurve(
  question: BuildQuestion,
  solve: Solver,
  ground: PlanGround,
): Generator<CurvePoint> {
  for (const share of steps) {
    const floors = question.targets.map(({ averageFps }) => averageFps * share)
    const plan = planBuild(
      { ...question, wishes: { ...question.wishes, floors, budget: null } },
      solve,
      ground,
    )
    if (plan.status !== 'infeasible') yield { at: share, plan }
  }
}

/** What a line costs more where its way may not be taken; null where nothing else does. */
export function nextBest(
  question: BuildQuestion,
  plan: BuildPlan,
  wayId: string,
  solve: Solver,
  ground: PlanGround,
): { readonly more: number; readonly plan: BuildPlan } | null {
  const next = planBuild(
    { ...question, pins: question.pins.filter((id) => id !== wayId), bans: [...question.bans, wayId] },
    solve,
    ground,
  )
  return next.cost === null || plan.cost === null ? null : { more: next.cost - plan.cost, plan: next }
}
