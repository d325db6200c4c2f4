import type { RateComparison } from './compareRates'

/** What the verdict is made from; amounts in minor units. */
export interface VerdictFigures {
  readonly ownName: string
  readonly otherName: string
  readonly ownCost: number
  readonly otherCost: number
  readonly comparison: RateComparison
  /** What the other's seller does not state. */
  readonly notStated: readonly string[]
  readonly formatMoney: (amount: number) => string
}

export interface WeighingVerdict {
  /** Who wins: cheaper and not slower, or faster and not dearer; else it depends. */
  readonly winner: 'own' | 'other' | 'depends'
  readonly sentence: string
  readonly unknown: string
}

/** Rates within this share of each other are called level. */
const level = 0.03

/**
 * Verdict in words from the figures. Swapping the machines swaps the winner; a machine that is cheaper and faster
 * always wins; without a like-for-like rate only cost is spoken of and nobody wins.
 */
export function weighingVerdict(figures: VerdictFigures): WeighingVerdict {
  const { ownName, otherName, ownCost, otherCost, comparison, formatMoney } = figures
  const gap = otherCost - ownCost
  const cost = gap === 0
    ? `${ownName} and ${otherName} cost the same to own`
    : `${ownName} costs ${formatMoney(Math.abs(gap))} ${gap > 0 ? 'less' : 'more'} to own than ${otherName}`
  const { meanRatio, pairs } = comparison
  const counted = pairs.filter((pair) => pair.ratio !== null).length
  const speed = speedWords(meanRatio, counted)
  const fast = meanRatio === null ? null : meanRatio > 1 + level ? 1 : 1 / meanRatio > 1 + level ? -1 : 0
  const cheap = Math.sign(gap)
  const winner = fast === null ? 'depends' : cheap >= 0 && fast >= 0 && cheap + fast > 0 ? 'own' : cheap <= 0 && fast <= 0 && cheap + fast < 0 ? 'other' : 'depends'
  const decision = winner === 'own' ? `Build it: ` : winner === 'other' ? `Buy ${otherName}: ` : ''
  const unlike = pairs.length - counted
  const unknown = [
    ...(unlike > 0 ? [`${unlike} of ${pairs.length} workloads are not like for like`] : []),
    ...(comparison.missing.length > 0 ? [`${comparison.missing.length} without any figure`] : []),
    ...(figures.notStated.length > 0 ? [`its seller does not state ${figures.notStated.join(', ')}`] : []),
  ].join('; ')
  return { winner, sentence: `${decision}${cost}${speed}.`, unknown }
}

function speedWords(meanRatio: number | null, counted: number): string {
  if (meanRatio === null) return ', and no workload can be compared at the same settings'
  const on = `at the same settings (${counted} ${counted === 1 ? 'workload' : 'workloads'})`
  if (meanRatio > 1 + level) return ` and is ${Math.round((meanRatio - 1) * 100)} % faster ${on}`
  if (1 / meanRatio > 1 + level) return ` and is ${Math.round((1 - meanRatio) * 100)} % slower ${on}`
  return ` and is level in speed ${on}`
}
