import type { Part } from '../parts/part'
import type { Code } from '../supply/landed/codes'

/** A stated planning problem; amounts in minor units of one currency. */
export interface PlanProblem {
  readonly goal: {
    readonly kind: 'cheapest' | 'fastest'
    readonly budget: number | null
    readonly floors: readonly number[]
    /** The same of the lows; left out: none. */
    readonly lows?: readonly number[]
    /** What the machine may take to own at most; left out: whatever it takes. */
    readonly own?: number
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
  /** Sets of parts of which so many at most stand in one machine. */
  readonly atMost?: readonly PlanMost[]
  /** Chances a day of hunts that must be in as well, whatever is planned. */
  readonly waits?: readonly number[]
  readonly trips?: readonly PlanTrip[]
  /** What certain baskets take beyond what the rows of their order say. */
  readonly dearer?: readonly PlanDearer[]
  /** Machines that are slower than their CPU and card alone. */
  readonly slower?: readonly PlanSlower[]
  /** Machines that take more to own than their parts alone. */
  readonly costly?: readonly PlanCostly[]
  /** How a supply must be rated; left out: 1.5 × the draw with 40 W for what is not listed. */
  readonly watts?: { readonly factor: number; readonly besides: number }
}

/** A way to get things: alone, or as one of an order. */
export interface PlanWay {
  readonly id: string
  /** Null: paid by itself. */
  readonly source: string | null
  readonly things: readonly { readonly partId: string; readonly resale: number; readonly own?: number }[]
  readonly price: number
  readonly expectedExtra: number
  /** Order it may lie in, though the terms of that are not in the program: `price` is then the least it can add. */
  readonly order?: string
  /** The least it adds to what the machine takes to own, beside what its things add. */
  readonly own?: number
  /** In its order whatever is planned. */
  readonly beside?: boolean
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
  /** 1 % lows; left out: not asked for. */
  readonly lows?: readonly number[]
}

export interface PlanMost {
  readonly parts: readonly string[]
  readonly most: number
}

/** A trip, paid once where a way that it fetches is taken; minor units. */
export interface PlanTrip {
  readonly ways: readonly string[]
  readonly cash: number
}

/** Of the ways that may lie in an order, exactly these: then so much more than the rows say, in minor units. */
export interface PlanDearer {
  /** The order that takes more; null: the plan as a whole. */
  readonly order: string | null
  readonly among: readonly string[]
  readonly basket: readonly string[]
  readonly pay: number
  readonly cost: number
  /** To own; left out: no more. */
  readonly own?: number
}

/** Of the parts, of which three stand in a machine: then it takes so much more to own; of a pair the largest counts. */
export interface PlanCostly {
  readonly pair: string
  readonly parts: readonly string[]
  readonly more: number
}

/**
 * Where more than `most` of the parts stand in one machine, the logarithm of its frames is `frames`, `loss` less than
 * its pair's.
 */
export interface PlanSlower extends PlanMost {
  /** Names CPU and card; of several losses of a pair the largest counts. */
  readonly pair: string
  readonly frames: number
  readonly loss: number
}
