import { driveKind } from '../../parts/driveKind'
import type { PricedPart } from './pricedPart'
import { checkFit, isNoWorse } from '../fit/checkFit'
import type { FitBrief } from '../fit/finding'
import type { Part, Role } from '../../parts/part'
import { indexOfPart } from '../../parts/indexOfPart'

/**
 * A way to get a part that could fill a role. `price` is its expected cost, minor
 * units; what is to be paid now is another kind of money and stands beside, never compared with it.
 */
export interface StepOption extends PricedPart {
  readonly payNow: number
  /** Names the way. */
  readonly id: string
}

/** What a machine reaches of one target: frames over the frames wanted. */
export interface TargetReach {
  readonly name: string
  readonly fps: number
  readonly wanted: number
}

export interface Step {
  readonly option: StepOption
  /** Expected cost over that of what fills the role now; and the same of what is paid now. */
  readonly more: number
  readonly morePayNow: number
  /** The role's own measure of the part (index, GB, W), and its change over the present one; null where not known. */
  readonly worth: number | null
  readonly worthChange: number | null
  /** Change of frames over the targets, geometric mean; null where frames do not depend on the role or are not known. */
  readonly framesChange: number | null
  readonly targets: readonly {
    readonly name: string
    readonly before: number
    readonly after: number
    readonly wanted: number
  }[]
  /**
   * Percent gained per 10.00 of the currency's major units: what the threshold is held against; null where nothing is
   * gained by more money.
   */
  readonly perTen: number | null
  readonly worthIt: boolean
}

export interface StepContext {
  readonly role: Role
  /** The machine without the role's present part. */
  readonly others: readonly Part[]
  /** What fills the role now: its expected cost, and what is paid now for it. */
  readonly present: { readonly part: Part; readonly cost: number; readonly payNow: number } | null
  readonly options: readonly StepOption[]
  /** What may still be paid now, minor units; never a step that takes more. */
  readonly left: number
  readonly brief?: Partial<FitBrief>
  readonly settled?: ReadonlySet<string>
  /** What the brief's targets reach with these parts; empty where that is not known. */
  reach(parts: readonly Part[]): readonly TargetReach[]
  /** Percent gained per 10.00 below which a step is "not worth it". */
  readonly threshold: number
  readonly unit: number
}

/**
 * The steps up for a role: options that what is left can pay and that leave the fit check no worse, those beaten on
 * both cost and worth dropped, by cost. Worth is the frames in the targets where they depend on the role, else the role's
 * own measure. The first step is the cheapest option that is worth at least as much as what is there.
 */
export function stepsUp(context: StepContext): Step[] {
  const { others, present, options, left } = context
  const now = present ? [...others, present.part] : others
  const before = checkFit(fitOf(now, context))
  const reachBefore = context.reach(now)
  const steps = options
    .filter((option) => morePayNow(option, present) <= left && option.part.id !== present?.part.id)
    .map((option) => stepOf(option, context, reachBefore))
    .filter((step) => gain(step) === null || gain(step)! > -1e-9 || present === null)
  return survivors(steps).filter(({ option }) =>
    isNoWorse(checkFit(fitOf([...others, option.part], context)), before),
  )
}

function fitOf(parts: readonly Part[], { brief, settled }: StepContext) {
  return { parts, ...(brief ? { brief } : {}), ...(settled ? { settled } : {}) }
}

function stepOf(
  option: StepOption,
  { others, present, reach, threshold, unit }: StepContext,
  reachBefore: readonly TargetReach[],
): Step {
  const more = option.price - (present?.cost ?? 0)
  const worth = indexOfPart(option.part)
  const had = present ? indexOfPart(present.part) : null
  const isSlower = present !== null && isSlowerDrive(option.part, present.part)
  // a slower kind of drive is a loss, whatever it holds
  const worthChange = isSlower ? -1 : worth !== null && had !== null && had > 0 ? worth / had - 1 : null
  const after = reach([...others, option.part])
  const targets = after.map((each) => ({
    name: each.name,
    before: reachBefore.find((old) => old.name === each.name)?.fps ?? 0,
    after: each.fps,
    wanted: each.wanted,
  }))
  const known = targets.filter((each) => each.before > 0)
  const frames =
    known.length === 0
      ? null
      : Math.exp(known.reduce((sum, each) => sum + Math.log(each.after / each.before), 0) / known.length) - 1
  const framesChange = frames !== null && Math.abs(frames) < 1e-9 ? null : frames
  const step = { option, more, morePayNow: 0, worth, worthChange, framesChange, targets, perTen: null }
  return stepAtCost({ ...step, worthIt: false }, more, morePayNow(option, present), { threshold, unit })
}

/** A step at what taking it comes to: expected cost and what is paid now, over those of the build as it is. */
export function stepAtCost(
  step: Step,
  more: number,
  payNow: number,
  { threshold, unit }: Pick<StepContext, 'threshold' | 'unit'>,
): Step {
  const gained = step.framesChange ?? step.worthChange
  const perTen = gained === null || more <= 0 ? null : (100 * gained) / (more / unit / 10)
  return {
    ...step,
    more,
    morePayNow: payNow,
    perTen,
    worthIt: more <= 0 ? gained === null || gained >= 0 : perTen !== null && perTen >= threshold,
  }
}

function morePayNow(option: StepOption, present: StepContext['present']): number {
  return option.payNow - (present?.payNow ?? 0)
}

/** Whether a drive is of a slower kind: turning beside solid, SATA beside NVMe. False where either is not known. */
function isSlowerDrive(one: Part, other: Part): boolean {
  if (one.role !== 'storage' || other.role !== 'storage') return false
  const [mine, its] = [driveKind(one.facts), driveKind(other.facts)]
  return mine !== undefined && its !== undefined && mine < its
}

/** What a step brings: frames in the targets, else the role's own measure. */
function gain({ framesChange, worthChange, worth }: Step): number | null {
  return framesChange ?? worthChange ?? worth
}

/** Drops what another option beats on both cost and worth; by cost, then by worth. */
function survivors(steps: readonly Step[]): Step[] {
  const sorted = [...steps].sort(
    (a, b) =>
      a.option.price - b.option.price ||
      (gain(b) ?? 0) - (gain(a) ?? 0) ||
      (a.option.id < b.option.id ? -1 : 1),
  )
  const kept: Step[] = []
  let best = -Infinity
  for (const step of sorted) {
    const worth = gain(step)
    if (worth === null || worth <= best + 1e-9) continue
    best = worth
    kept.push(step)
  }
  return kept
}
