import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan, CarryOut } from '#core/planning/planBuild'
import type { CurvePoint, WishCost } from '#core/planning/wishCosts'

/** What the page and the plan worker say to each other. */
export interface PlanWorker {
  /** Solves a question, asking what each find comes to; later calls ask about it. */
  plan(question: BuildQuestion, carryOut: CarryOut): Promise<BuildPlan>
  wishes(onWish: (cost: WishCost) => void): Promise<void>
  curve(of: 'waiting' | 'frames', onPoint: (point: CurvePoint) => void): Promise<void>
  /** Other ways to spend the same. */
  otherSpends(onPlan: (plan: BuildPlan) => void): Promise<void>
  nextBest(wayId: string): Promise<{ more: number; plan: BuildPlan } | null>
}
