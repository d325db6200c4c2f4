import type { Part } from '../parts/part'
import type { Code } from '../supply/landed/codes'

/** A stated planning problem; amounts in minor units of one currency. */
export interface PlanProblem {
  readonly goal: {
    readonly kind: 'cheapest' | 'fastest'
    readonly budget: number | null
    readonly floors: readonly number[]
  }
  /** Each to be filled once. */
  readonly roles: readonly string[]
  readonly parts: ReadonlyMap<string, Part>
  readonly ways: readonly PlanWay[]
  readonly sources: ReadonlyMap<string, PlanSource>
  /** At most one a source. */
  readonly codes: ReadonlyMap<string, Code>
  readonly frames: readonly PlanPair[]
  readonly within: { readonly days: number; readonly chance: number } | null
  readonly pins: readonly string[]
  readonly bans: readonly string[]
  /** Owned things that may be sold on at most; left out: any number. */
  readonly mostSold?: number
  /** Ways that stand where another costs as much: those of the present build. */
  readonly preferred?: ReadonlySet<string>
  /** Parts that fill a role as well as their own: a CPU that comes with a cooler. */
  readonly standsIn?: ReadonlyMap<string, ReadonlySet<string>>
  /** Sets of parts that do not stand in one machine together; left out: pairs by the facts of `pairClashes`. */
  readonly apart?: readonly (readonly string[])[]
  /** How a supply must be rated; left out: 1.5 × the draw with 40 W for what is not listed. */
  readonly watts?: { readonly factor: number; readonly besides: number }
}

/** A way to get things: alone, or as one of an order. */
export interface PlanWay {
  readonly id: string
  /** Null: paid by itself. */
  readonly source: string | null
  readonly things: readonly { readonly partId: string; readonly resale: number }[]
  readonly price: number
  readonly expectedExtra: number
  /** Mine already: it is there whatever is planned, each thing of it kept or sold on. */
  readonly owned?: boolean
  /** Chances a day of a hunt; null: at hand. */
  readonly perDay: number | null
}

export interface PlanSource {
  readonly shipping: number
  readonly freeFrom: number | null
  readonly taxPercent: number
  /** Left out: on the items alone. */
  readonly taxOnShipping?: boolean
}

/** Frame rates of a CPU with a card, one for each target. */
export interface PlanPair {
  readonly cpu: string
  readonly graphics: string
  readonly fps: readonly number[]
}
