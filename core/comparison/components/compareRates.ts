import { geometricMean } from '../../performance/runs/beforeAfter'
import type { HeldMode } from './consoleModes'
import type { MachineRate, WeighedMachine } from '../weighedMachine'

/** Two machines on one workload. */
export interface RatePair {
  readonly workloadId: string
  readonly own: MachineRate
  readonly other: MachineRate
  /** Same settings: the ratio means something. */
  readonly likeForLike: boolean
  /** Own average over the other's; null where not like for like. */
  readonly ratio: number | null
  readonly lowRatio: number | null
}

export interface RateComparison {
  readonly pairs: readonly RatePair[]
  /** Geometric mean of the ratios at the same settings; null where there is none. */
  readonly meanRatio: number | null
  readonly meanLowRatio: number | null
  /** Workloads for which the other has no figure at all. */
  readonly missing: readonly string[]
  /** Fixed modes of the other against what the own machine holds; out of every mean. */
  readonly modes: readonly HeldMode[]
  /** Targets met and narrowly met on each side, of those both sides have a rate for. */
  readonly targets: { readonly own: TargetCount; readonly other: TargetCount; readonly of: number }
}

export interface TargetCount {
  readonly met: number
  readonly narrow: number
}

/**
 * Pairs the rates of two machines by workload. Same settings are compared; other settings are shown beside each other,
 * marked "not like for like", and stay out of the means. For each workload the first pair of equal settings counts,
 * else the first of each. Swapping the machines turns every ratio into its inverse.
 *
 * @param modes the other's fixed modes as the own machine holds them; left out: it has none
 */
export function compareRates(
  own: WeighedMachine,
  other: WeighedMachine,
  modes: readonly HeldMode[] = [],
): RateComparison {
  const pairs: RatePair[] = []
  const missing: string[] = []
  for (const workloadId of new Set(own.rates.map((rate) => rate.workloadId))) {
    const ownRates = own.rates.filter((rate) => rate.workloadId === workloadId)
    const otherRates = other.rates.filter((rate) => rate.workloadId === workloadId)
    if (otherRates.length === 0) {
      missing.push(workloadId)
      continue
    }
    const same = ownRates.flatMap((a) =>
      otherRates.filter((b) => a.settings !== null && a.settings === b.settings).map((b) => [a, b] as const),
    )[0]
    const [a, b] = same ?? [ownRates[0]!, otherRates[0]!]
    pairs.push({
      workloadId,
      own: a,
      other: b,
      likeForLike: same !== undefined,
      ratio: same ? a.averageFps / b.averageFps : null,
      lowRatio: same && a.lowFps !== null && b.lowFps !== null ? a.lowFps / b.lowFps : null,
    })
  }
  return {
    pairs,
    missing,
    modes,
    meanRatio: geometricMean(pairs.flatMap((pair) => pair.ratio ?? [])),
    meanLowRatio: geometricMean(pairs.flatMap((pair) => pair.lowRatio ?? [])),
    targets: targetsMet(own, other),
  }
}

function targetsMet(own: WeighedMachine, other: WeighedMachine): RateComparison['targets'] {
  const both = own.targets.flatMap((target) => {
    const beside = other.targets.find((each) => each.name === target.name)
    return target.verdict !== null && beside?.verdict != null
      ? [{ own: target.verdict, other: beside.verdict }]
      : []
  })
  const count = (side: 'own' | 'other'): TargetCount => ({
    met: both.filter((each) => each[side] === 'met').length,
    narrow: both.filter((each) => each[side] === 'narrow').length,
  })
  return { own: count('own'), other: count('other'), of: both.length }
}
