import type { Workload } from '../performance/model/workload'
import type { FrameMachine } from '../performance/model/frameTime'
import { compareRates, type RateComparison } from './components/compareRates'
import { holdMode, type Equivalent } from './components/consoleModes'
import { energy } from './adjustments/rules/energy'
import { valueLeft, worthUnknown } from './adjustments/rules/valueLeft'
import { likeForLike, type LikeForLike } from './adjustments/likeForLike'
import type { WeighedMachine, WeighingTerms } from './weighedMachine'
import type { PlayStyle } from './verdict/playStyles'
import { weighingVerdict, type WeighingVerdict } from './verdict/verdict'

/** Two machines on the scales: cost of each, speed, and who wins. */
export interface Weighed {
  readonly own: LikeForLike
  readonly other: LikeForLike
  readonly comparison: RateComparison
  readonly verdict: WeighingVerdict
}

export interface WeighingContext {
  readonly terms: WeighingTerms
  readonly style: PlayStyle
  readonly workloads: readonly Workload[]
  /** The own machine as far as frames are concerned; null where it is not whole. */
  readonly ownFrames: FrameMachine | null
  /** What the other's insides are taken to be equal to, where it is a console. */
  readonly equivalents: readonly Equivalent[]
  readonly formatMoney: (amount: number) => string
}

/** Weighs a machine against another, by the one list of steps and a way of playing. */
export function weigh(
  own: WeighedMachine,
  other: WeighedMachine,
  { terms: asked, style, workloads, ownFrames, equivalents, formatMoney }: WeighingContext,
): Weighed {
  const terms = withoutUnknown([own, other], asked)
  const modes =
    ownFrames === null
      ? []
      : other.modes.flatMap((mode) => {
          const workload = workloads.find((each) => each.id === mode.workloadId)
          return workload ? [holdMode(workload, ownFrames, mode, equivalents)] : []
        })
  const comparison = compareRates(own, other, modes)
  const judged = (by: WeighingTerms, beside = other) => {
    const [ownCost, otherCost] = [likeForLike(own, by), likeForLike(beside, by)]
    return { ownCost, otherCost, verdict: weighingVerdict({ ...said, own: ownCost, other: otherCost }) }
  }
  const said = {
    ownName: own.name,
    otherName: other.name,
    isOtherMine: other.kind === 'own' || other.kind === 'build',
    years: terms.years,
    comparison,
    style,
    notStated: other.notStated,
    formatMoney,
    ownHeat: own.heat,
    otherHeat: other.heat,
    ownWatts: own.watts?.full ?? null,
    otherWatts: other.watts?.full ?? null,
    isTooClose: false,
    worthUnknown: terms.worthUnknown,
    energyUnknown: terms.energyUnknown,
    ownNotYet: own.notYet,
    otherNotYet: other.notYet,
  }
  const { ownCost, otherCost, verdict } = judged(terms)
  // what things fetch at the end, and what is not stated, is known within a range: a verdict that turns within it is none
  const ends = [
    judged({ ...terms, keeps: terms.keepsRange.low }),
    judged({ ...terms, keeps: terms.keepsRange.high }),
    judged(terms, unstated(other, terms.unstatedUpTo)),
  ]
  const isTooClose = verdict.winner !== 'depends' && ends.some((end) => end.verdict.winner !== verdict.winner)
  return {
    own: ownCost,
    other: otherCost,
    comparison,
    verdict: isTooClose ? weighingVerdict({ ...said, own: ownCost, other: otherCost, isTooClose }) : verdict,
  }
}

/**
 * The terms for machines beside each other: what one of them is not known to fetch leaves no value on any of them, and
 * what one of them is not known to draw counts on none.
 */
export function withoutUnknown(machines: readonly WeighedMachine[], terms: WeighingTerms): WeighingTerms {
  // in an order of its own: that of the machines says nothing
  const named = (known: readonly string[], more: readonly string[]) =>
    [...new Set([...known, ...more])].sort()
  const worth = named(terms.worthUnknown, machines.flatMap(worthUnknown))
  const draws = named(
    terms.energyUnknown,
    machines.flatMap(({ id, name, watts }) =>
      watts === null && terms.edits[id]?.[energy.id] === undefined ? [name] : [],
    ),
  )
  const counts = (step: string) => !terms.off.includes(step)
  const isWorthOff = worth.length > 0 && terms.assumedWorth === null && counts(valueLeft.id)
  const isEnergyOff = draws.length > 0 && counts(energy.id)
  return {
    ...terms,
    off: [...terms.off, ...(isWorthOff ? [valueLeft.id] : []), ...(isEnergyOff ? [energy.id] : [])],
    ...(isWorthOff && { worthUnknown: worth }),
    ...(isEnergyOff && { energyUnknown: draws }),
  }
}

/** A machine if what its seller does not state is worth so many times the cheapest plausible part. */
const unstated = (machine: WeighedMachine, times: number): WeighedMachine => ({
  ...machine,
  components: machine.components.map((part) =>
    part.state === 'missing' && part.worthToday !== null
      ? { ...part, worthToday: part.worthToday * times }
      : part,
  ),
})
