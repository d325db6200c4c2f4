import type { Tier } from '#core/comparison/tier'
import type { LikeForLike } from '#core/comparison/adjustments/likeForLike'
import type { ComponentLine } from '#core/comparison/components/compareComponents'
import type { RateComparison } from '#core/comparison/components/compareRates'
import type { Equivalent } from '#core/comparison/components/consoleModes'
import type { WeighingVerdict } from '#core/comparison/verdict/verdict'
import type { WeighedMachine } from '#core/comparison/weighedMachine'
import type { Role } from '#core/parts/part'
import type { FindingView } from '../machine/views'

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
  /** What it would take to bring each side up to the other; null where its parts are not known. */
  readonly toEqual: {
    readonly own: readonly { readonly name: string; readonly price: number }[]
    readonly other: readonly { readonly name: string; readonly price: number }[]
  } | null
  /** The first sensible upgrade. */
  readonly room: { readonly what: string; readonly cost: number } | null
}

/** A machine found that matches a rival, or the best for its money. */
export interface MatchView {
  readonly goal: 'match' | 'spend'
  readonly rivalName: string
  /** False where time ran out before it was proven the best. */
  readonly isComplete: boolean
  /** How far from the best it may be, as a share; null where nothing was found. */
  readonly gap: number | null
  readonly checked: number
  readonly tookMs: number
  /** What the rival takes to own; null for a match. */
  readonly budget: number | null
  readonly found: {
    readonly options: readonly {
      readonly id: string
      readonly partId: string
      readonly name: string
      readonly role: Role
      readonly payNow: number
      readonly how: string
    }[]
    /** Expected cost: risk counted, what comes along sold on. */
    readonly price: number
    readonly payNow: number
    /** What it takes to own, on the scales; null for a match. */
    readonly toOwn: number | null
    readonly targets: readonly {
      readonly name: string
      readonly fps: number
      readonly wanted: number
      readonly floor: number | null
    }[]
    readonly findings: readonly { readonly severity: FindingView['severity']; readonly what: string }[]
    /** Its expected cost over that of the build's own core machine. */
    readonly againstOwn: number
  } | null
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
