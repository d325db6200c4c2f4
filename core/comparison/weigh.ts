import type { Workload } from '../performance/model/workload'
import type { FrameMachine } from '../performance/model/frameTime'
import { compareRates, type RateComparison } from './components/compareRates'
import { holdMode, type Equivalent } from './components/consoleModes'
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
  { terms, style, workloads, ownFrames, equivalents, formatMoney }: WeighingContext,
): Weighed {
  const modes =
    ownFrames === null
      ? []
      : other.modes.flatMap((mode) => {
          const workload = workloads.find((each) => each.id === mode.workloadId)
          return workload ? [holdMode(workload, ownFrames, mode, equivalents)] : []
        })
  const [ownCost, otherCost] = [likeForLike(own, terms), likeForLike(other, terms)]
  const comparison = compareRates(own, other, modes)
  const verdict = weighingVerdict({
    ownName: own.name,
    otherName: other.name,
    isOtherMine: other.kind === 'own' || other.kind === 'build',
    years: terms.years,
    own: ownCost,
    other: otherCost,
    comparison,
    style,
    notStated: other.notStated,
    formatMoney,
    ownHeat: own.heat,
    otherHeat: other.heat,
    ownWatts: own.watts?.full ?? null,
    otherWatts: other.watts?.full ?? null,
  })
  return { own: ownCost, other: otherCost, comparison, verdict }
}
