import type { FitBrief } from '../machine/fit/finding'
import type { Part, Role } from '../parts/part'
import type { Code } from '../supply/landed/codes'
import type { Order } from '../supply/landed/landedCost'
import type { FrameSettings, Workload } from '../performance/model/workload'
import { targetRatio } from '../performance/model/judgeTarget'
import type { OwnBudget } from './ownBudget'
import type { PlanSource, PlanTrip } from './problem'

/** What is to be planned for a build: everything the engine needs, so that it can run away from the page. */
export interface BuildQuestion {
  readonly currency: string
  readonly goal: 'cheapest' | 'fastest'
  /** Roles to be filled. */
  readonly roles: readonly Role[]
  /** Parts that ways offer, of the roles asked for and of any other. */
  readonly parts: readonly Part[]
  readonly ways: readonly BuildWay[]
  /** Parts that are in the machine whatever is planned. */
  readonly fixed: readonly Part[]
  /** Findings that the builder has dealt with. */
  readonly settled: readonly string[]
  /** Chances a day of hunts of the build that the plan does not decide about. */
  readonly otherWaits: readonly number[]
  /** Orders in which ways may lie with others. */
  readonly orders: readonly BuildOrder[]
  /** Trips that fetch ways, paid once where one of them is taken. */
  readonly trips: readonly PlanTrip[]
  readonly targets: readonly BuildTarget[]
  readonly workloads: readonly Workload[]
  readonly brief: FitBrief
  readonly wishes: PlanWishes
  readonly pins: readonly string[]
  readonly bans: readonly string[]
  /** Things of mine in the machine that may be sold on at most; 0: all of them stay. */
  readonly maySell: number
  /** What it may take to own, beside another machine; left out: whatever it takes. */
  readonly own?: OwnBudget
}

/** Things that are paid together where several of them are taken: one shop in one currency, unless split by hand. */
export interface BuildOrder {
  /** Names it among the ways. */
  readonly source: string
  /** The shop's name. */
  readonly name: string
  /** How it charges, as far as a program can say it exactly; null: beyond that. */
  readonly terms: PlanSource | null
  readonly code: Code | null
  /** What lies there whatever is planned: of this build, or of another. */
  readonly beside: readonly { readonly order: Order; readonly isOwn: boolean }[]
  /** What of it is paid without the plan, minor units of the build's currency. */
  readonly besidePays: number
  /** The build's currency, and the rate from the shop's into it. */
  readonly currency: string
  readonly rate: number | string
}

/** A way with what is shown of it. Amounts in minor units, by itself. */
export interface BuildWay {
  readonly id: string
  readonly text: string
  readonly from: string
  readonly url: string
  /** Order in which it lies; null: paid by itself. */
  readonly source: string | null
  /** It as an order of its own, where it may be put together with others of its source. */
  readonly order?: Order
  readonly partIds: readonly string[]
  readonly payNow: number
  readonly expected: number
  readonly perDay: number | null
  /** What comes along and is sold on, 0 or less, as it lies in `expected`; left out: nothing. */
  readonly leftover?: number
  /** Whether the build has it already. */
  readonly isPresent: boolean
  /** What of a way of the build stays out of the machine today; a plan may bring it in. */
  readonly leftOut?: readonly string[]
  /** What a thing of mine brings when it is sold on; left out: it is none, or its price is not known. */
  readonly resale?: number
}

export interface BuildTarget {
  readonly name: string
  readonly workloadId: string
  readonly settings: FrameSettings
  readonly averageFps: number
  /** 1 % low; null, or left out: not asked for. */
  readonly lowFps?: number | null
}

/** What the builder would like; null: not asked for. Each can be given up by itself. */
export interface PlanWishes {
  /** Frame rates, one for each target; null: that target is let go. */
  readonly floors: readonly (number | null)[]
  /** Total at most, minor units. */
  readonly budget: number | null
  /** All hunts in within so many days with a chance of four in five. */
  readonly days: number | null
  readonly memoryGb: number | null
  readonly driveGb: number | null
  /** Supply rated for so many times the draw. */
  readonly supplyFactor: number | null
}

/** Names of single wishes: `floors[0]`, `budget`, … */
export type WishName = `floors[${number}]` | Exclude<keyof PlanWishes, 'floors'>

/** The wishes that are asked for. */
export function wishNames(wishes: PlanWishes): WishName[] {
  const { floors, ...others } = wishes
  return [
    ...floors.flatMap((floor, at): WishName[] => (floor === null ? [] : [`floors[${at}]`])),
    ...(Object.keys(others) as Exclude<keyof PlanWishes, 'floors'>[]).filter((name) => others[name] !== null),
  ]
}

/** The same wishes without one of them. */
export function without(wishes: PlanWishes, name: WishName): PlanWishes {
  const at = /^floors\[(\d+)\]$/.exec(name)
  if (!at) return { ...wishes, [name]: null }
  return { ...wishes, floors: wishes.floors.map((floor, index) => (index === Number(at[1]) ? null : floor)) }
}

/** Whether a way is a thing of mine that an upgrade may sell. */
export const maybeSold = ({ resale }: BuildWay) => resale !== undefined

/** Ways that stay in the plan: those pinned, and all that is mine unless some of it may be sold. */
export const pinsOf = ({ pins, ways, maySell }: BuildQuestion): readonly string[] =>
  maySell > 0 ? pins : [...new Set([...pins, ...ways.filter(maybeSold).map(({ id }) => id)])]

/** So many things an upgrade sells at most, unless the builder says otherwise: each is work. */
export const usuallySold = 3

/** A machine that a plan may be measured by. */
export interface PlanRival {
  /** Frame rates, one for each target; null where one is not known. */
  readonly fps: readonly (number | null)[]
  /** What it costs to buy, minor units; null where not known. */
  readonly price: number | null
  /** What memory and drives it has; left out where not known. */
  readonly memoryGb?: number
  readonly driveGb?: number
}

/**
 * The question by which a plan is as fast as another machine in every target of which its rate is known, at the least
 * cost; or the fastest for what that machine costs. Null where too little is known of it.
 *
 * @example a console of 60 fps in one target and none known in the other: floors 60 and none
 */
export function asRival(
  question: BuildQuestion,
  rival: PlanRival,
  goal: 'match' | 'spend',
): BuildQuestion | null {
  const { wishes } = question
  if (goal === 'match') {
    if (rival.fps.every((each) => each === null)) return null
    // of its lows nothing is known
    const targets = question.targets.map((target) => ({ ...target, lowFps: null }))
    const { memoryGb = wishes.memoryGb, driveGb = wishes.driveGb } = rival
    const asked = { ...wishes, floors: rival.fps, budget: null, memoryGb, driveGb }
    return { ...question, targets, goal: 'cheapest', wishes: asked }
  }
  return rival.price === null ? null : fastestFor(question, rival.price)
}

/** The question by which a plan is the fastest for a sum, whatever each target then reaches; null without a target. */
export function fastestFor(question: BuildQuestion, budget: number): BuildQuestion | null {
  if (question.targets.length === 0) return null
  const floors = question.wishes.floors.map(() => null)
  return { ...question, goal: 'fastest', wishes: { ...question.wishes, floors, budget } }
}

/**
 * The target that a machine of these rates is farthest from, or least above: 1 where it is just reached, the worse of
 * average and 1 % low. Null without a target, or where its rates are not known.
 *
 * @example targets of 60 and 100 fps, reached 66 and 90: the second, by 0.9
 */
export function weakestOf(
  { targets }: Pick<BuildQuestion, 'targets'>,
  { fps, lows }: { readonly fps: readonly number[] | null; readonly lows: readonly number[] | null },
): { readonly name: string; readonly ratio: number } | null {
  if (fps === null) return null
  const [weakest = null] = targets
    .map(({ name, averageFps, lowFps = null }, at) => ({
      name,
      ratio: targetRatio({ averageFps: fps[at]!, lowFps: lows?.[at] ?? NaN }, { averageFps, lowFps }),
    }))
    .sort((a, b) => a.ratio - b.ratio)
  return weakest
}

/** What a builder asked of a plan, apart from what is on offer: it outlives a reload, and new offers. */
export type PlanAsk = Pick<BuildQuestion, 'goal' | 'wishes' | 'pins' | 'bans' | 'maySell'>

/**
 * A fresh question with what was asked before. Pins and bans of ways that are gone go with them; what the build has
 * bought stays pinned; wishes are kept as long as the targets are as many.
 */
export function askedAgain(fresh: BuildQuestion, asked: PlanAsk | null): BuildQuestion {
  if (!asked) return fresh
  const there = new Set(fresh.ways.map(({ id }) => id))
  return {
    ...fresh,
    goal: fresh.targets.length === 0 ? 'cheapest' : asked.goal,
    wishes: asked.wishes.floors.length === fresh.wishes.floors.length ? asked.wishes : fresh.wishes,
    pins: [...new Set([...fresh.pins, ...asked.pins.filter((id) => there.has(id))])],
    bans: asked.bans.filter((id) => there.has(id) && !fresh.pins.includes(id)),
    maySell: fresh.ways.some(maybeSold) ? asked.maySell : 0,
  }
}
