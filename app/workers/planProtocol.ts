import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan, CarryOut } from '#core/planning/planBuild'
import type { NoneReason } from '#core/planning/whyNone'
import type { CurvePoint, WishCost } from '#core/planning/wishCosts'

/** What the page and the plan worker say to each other. */
export interface PlanWorker {
  /** Solves a question, asking what each find comes to; later calls ask about it. */
  plan(question: BuildQuestion, carryOut: CarryOut): Promise<BuildPlan>
  /** Why there is none; null where that is not known. */
  whyNone(): Promise<NoneReason | null>
  wishes(onWish: (cost: WishCost) => void): Promise<void>
  curve(of: 'waiting' | 'frames', onPoint: (point: CurvePoint) => void): Promise<void>
  /** Other ways to spend the same. */
  otherSpends(onPlan: (plan: BuildPlan) => void): Promise<void>
  nextBest(wayId: string): Promise<{ more: number; plan: BuildPlan } | null>
}
