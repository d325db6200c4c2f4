import type { MachineRate, WeighedMachine } from './machine'

/** Two machines on one workload. */
export interface RatePair {
  readonly workloadId: string
  readonly own: MachineRate
  readonly other: MachineRate
  /** Same settings: the ratio means something. */
  readonly likeForLike: boolean
  /** Own average over the other's; null where not like for like. */
  readonly ratio: number | null
}

export interface RateComparison {
  readonly pairs: readonly RatePair[]
  /** Geometric mean of the ratios at the same settings; null where there is none. */
  readonly meanRatio: number | null
  /** Workloads for which the other has no figure at all. */
  readonly missing: readonly string[]
}

/**
 * Pairs the rates of two machines by workload. Same settings are compared; other settings are shown beside each other,
 * marked "not like for like", and stay out of the mean. For each workload the first pair of equal settings counts,
 * else the first of each. Swapping the machines turns every ratio into its inverse.
 */
export function compareRates(own: WeighedMachine, other: WeighedMachine): RateComparison {
  const pairs: RatePair[] = []
  const missing: string[] = []
  for (const workloadId of new Set(own.rates.map((rate) => rate.workloadId))) {
    const ownRates = own.rates.filter((rate) => rate.workloadId === workloadId)
    const otherRates = other.rates.filter((rate) => rate.workloadId === workloadId)
    if (otherRates.length === 0) {
      missing.push(workloadId)
      continue
    }
    const same = ownRates.flatMap((a) => otherRates.filter((b) => a.settings !== null && a.settings === b.settings).map((b) => [a, b] as const))[0]
    const [a, b] = same ?? [ownRates[0]!, otherRates[0]!]
    pairs.push({ workloadId, own: a, other: b, likeForLike: same !== undefined, ratio: same ? a.averageFps / b.averageFps : null })
  }
  const ratios = pairs.flatMap((pair) => (pair.ratio === null ? [] : [pair.ratio]))
  return { pairs, missing, meanRatio: ratios.length === 0 ? null : Math.exp(ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length) }
}
