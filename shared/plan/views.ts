import type { Role } from '#core/parts/part'
import type { BuildQuestion } from '#core/planning/buildQuestion'

/** What the place Plan asks the engine, and what it left out before asking. */
export interface PlanView {
  readonly question: BuildQuestion
  /** Ways that are no part of it, with the reason. */
  readonly leftOut: readonly {
    readonly text: string
    readonly why: string
    readonly roles: readonly Role[]
  }[]
  /** Ways of the present build, by which it stands beside a plan. */
  readonly present: readonly string[]
  /**
   * What of the budget is there for what the plan decides about, without the stretch, minor units; null where a part
   * beside it has no price.
   */
  readonly within: number | null
}

/** Where a plan is now, and the action that one undo takes back. */
export interface PlanTaken {
  readonly buildId: string
  readonly isVariant: boolean
  readonly action: number
}
