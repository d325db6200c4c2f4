import { without, wishNames, type BuildQuestion, type WishName } from './buildQuestion'
import type { BuildPlan } from './planBuild'

/** Plans of questions that differ from one another in what is asked, not in what is on offer. */
export type AskPlan = (question: BuildQuestion) => Promise<BuildPlan>

/** What a wish costs: the plan with all wishes less the plan without this one. */
export interface WishCost {
  readonly name: WishName
  /** Minor units; null where the plan with it is not possible, or one of the two is not proven. */
  readonly cost: number | null
  /** Where one of them is not proven: what it costs at the least, and at the most. */
  readonly between: { readonly least: number; readonly most: number } | null
  /** The plan without it; null where there is none either. */
  readonly without: BuildPlan | null
}

/**
 * One wish after the other given up, the others kept. They do not add up: two wishes may hold the same part. Where no
 * plan meets all wishes, those that alone make one possible have a plan without them.
 */
export async function* wishCosts(
  question: BuildQuestion,
  plan: BuildPlan,
  ask: AskPlan,
): AsyncGenerator<WishCost> {
  for (const name of wishNames(question.wishes)) {
    const next = await ask({ ...question, wishes: without(question.wishes, name) })
    yield { name, ...moreOf(plan, next), without: next.status === 'infeasible' ? null : next }
  }
}

/** By how much a plan is expected to cost more than another. */
function moreOf(plan: BuildPlan, other: BuildPlan): Pick<WishCost, 'cost' | 'between'> {
  if (plan.cost === null || other.cost === null) return { cost: null, between: null }
  const isProven = plan.status === 'optimal' && other.status === 'optimal'
  if (isProven) return { cost: plan.cost - other.cost, between: null }
  const least = (of: BuildPlan) => (of.status === 'optimal' ? of.cost! : Math.ceil(of.bound!))
  return { cost: null, between: { least: least(plan) - other.cost, most: plan.cost - least(other) } }
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
export async function* waitCurve(question: BuildQuestion, ask: AskPlan): AsyncGenerator<CurvePoint> {
  // the fastest is asked for a sum; what a machine must cost is what the curve is about otherwise
  const budget = question.goal === 'fastest' ? question.wishes.budget : null
  for (const days of waits) {
    const plan = await ask({ ...question, wishes: { ...question.wishes, days, budget } })
    if (plan.status !== 'infeasible') yield { at: days, plan }
  }
}

/** Cost against the weakest target: the same question with all floors lower and higher. */
export async function* frameCurve(question: BuildQuestion, ask: AskPlan): AsyncGenerator<CurvePoint> {
  for (const share of steps) {
    const floors = question.targets.map(({ averageFps }) => averageFps * share)
    const plan = await ask({ ...question, wishes: { ...question.wishes, floors, budget: null } })
    if (plan.status !== 'infeasible') yield { at: share, plan }
  }
}

/** What a line costs more where its way may not be taken; null where nothing else does. */
export async function nextBest(
  question: BuildQuestion,
  plan: BuildPlan,
  wayId: string,
  ask: AskPlan,
): Promise<{ readonly more: number; readonly plan: BuildPlan } | null> {
  const pins = question.pins.filter((id) => id !== wayId)
  const next = await ask({ ...question, pins, bans: [...question.bans, wayId] })
  return next.cost === null || plan.cost === null ? null : { more: next.cost - plan.cost, plan: next }
}
