import type { Tier } from '#core/comparison/tier'
import type { LikeForLike } from '#core/comparison/adjustments/likeForLike'
import type { ComponentLine } from '#core/comparison/components/compareComponents'
import type { RateComparison } from '#core/comparison/components/compareRates'
import type { Equivalent } from '#core/comparison/components/consoleModes'
import type { WeighingVerdict } from '#core/comparison/verdict/verdict'
import type { WeighedMachine } from '#core/comparison/weighedMachine'

export interface WeighedView {
  readonly machine: WeighedMachine
  readonly equivalents: readonly Equivalent[]
  readonly cost: LikeForLike
  readonly comparison: RateComparison | null
  readonly verdict: WeighingVerdict | null
  /** The build against it, part by part; empty where its parts are not known. */
  readonly components: readonly ComponentLine[]
  /** What to ask its seller. */
  readonly questions: readonly { readonly key: string; readonly question: string }[]
  /** What it leaves room for, in a few words; empty where nobody knows. */
  readonly room: string
}

/** What it would take to draw each of two machines level with the other. */
export interface LevelView {
  readonly own: readonly LevelNeed[]
  readonly other: readonly LevelNeed[]
}

/** A part with all it needs; or a role for which nothing on offer would do. */
export interface LevelNeed {
  readonly name: string
  /** Minor units of the build's currency; null where nothing is on offer, or a price is not known. */
  readonly price: number | null
}

/** A build beside the same list assembled by a shop. */
export interface TierView {
  readonly buildId: string
  readonly build: string
  readonly shop: string
  readonly currency: string
  readonly budget: number
  /** Hours of the builder that go into it. */
  readonly hours: number
  readonly tier: Tier
}
