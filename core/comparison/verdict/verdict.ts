import type { RateComparison } from '../components/compareRates'
import { gapByStep, type LikeForLike } from '../adjustments/likeForLike'
import { playStyles, type PlayStyle } from './playStyles'
import { outlaySteps } from '../adjustments/adjustments'

/** What the verdict is made from; amounts in minor units. */
export interface VerdictFigures {
  readonly ownName: string
  readonly otherName: string
  readonly own: LikeForLike
  readonly other: LikeForLike
  readonly comparison: RateComparison
  readonly style: PlayStyle
  readonly ownWatts: number | null
  readonly otherWatts: number | null
  /** What the other's seller does not state. */
  readonly notStated: readonly string[]
  readonly formatMoney: (amount: number) => string
}

/** A reason for one side, and what it weighs in money. */
export interface Reason {
  readonly words: string
  readonly weight: number
}

export interface WeighingVerdict {
  /** Who wins: cheaper and not slower, or faster and not dearer; else it depends. */
  readonly winner: 'own' | 'other' | 'depends'
  readonly sentence: string
  /** What weighs most for each side, weightiest first. */
  readonly forOwn: readonly Reason[]
  readonly forOther: readonly Reason[]
  readonly unknown: string
}

/**
 * Verdict in words from the figures, for a way of playing. Swapping the machines swaps the winner; a machine that is
 * cheaper and faster always wins; without anything to compare speed by only cost is spoken of and nobody wins.
 */
export function weighingVerdict(figures: VerdictFigures): WeighingVerdict {
  const { ownName, otherName, own, other, comparison, formatMoney, style } = figures
  const gap = other.total - own.total
  const cost =
    gap === 0
      ? `${ownName} and ${otherName} cost the same to own`
      : `${ownName} costs ${formatMoney(Math.abs(gap))} ${gap > 0 ? 'less' : 'more'} to own than ${otherName}`
  const speed = playStyles[style].judge(comparison, figures)
  const cheap = Math.sign(gap)
  const { sign } = speed
  const winner =
    sign === null
      ? 'depends'
      : cheap >= 0 && sign >= 0 && cheap + sign > 0
        ? 'own'
        : cheap <= 0 && sign <= 0 && cheap + sign < 0
          ? 'other'
          : 'depends'
  const decision = winner === 'own' ? `Build it: ` : winner === 'other' ? `Buy ${otherName}: ` : ''
  const reasons = reasonsOf(figures)
  return {
    winner,
    sentence: `${decision}${cost}${speed.words}.`,
    forOwn: reasons.filter((reason) => reason.side > 0).map(({ words, weight }) => ({ words, weight })),
    forOther: reasons.filter((reason) => reason.side < 0).map(({ words, weight }) => ({ words, weight })),
    unknown: unknownOf(figures),
  }
}

/** Every reason with its side, weightiest first: the steps of the waterfall, what is paid at once taken together, and speed. */
function reasonsOf(figures: VerdictFigures): (Reason & { readonly side: number })[] {
  const { own, other, comparison, style } = figures
  const gaps = gapByStep(own, other)
  const outlay = gaps.filter((each) => outlaySteps.has(each.id)).reduce((sum, each) => sum + each.gap, 0)
  const money = [
    { id: 'outlay', label: 'what is paid until it is ready to use', gap: outlay },
    ...gaps.filter((each) => !outlaySteps.has(each.id)),
  ].filter((each) => each.gap !== 0)
  const speed = playStyles[style].judge(comparison, figures)
  const speedReason =
    speed.sign === null || speed.sign === 0
      ? []
      : [
          {
            side: speed.sign,
            weight: Math.round(speed.weight * Math.max(own.total, other.total, 0)),
            words: 'speed',
          },
        ]
  return [
    ...money.map(({ id, label, gap }) => ({
      side: Math.sign(gap),
      weight: Math.abs(gap),
      words: reasonWords(id, label, gap, figures),
    })),
    ...speedReason,
  ].sort((a, b) => b.weight - a.weight)
}

/** A reason names the machine it speaks against, or the one that keeps more value. */
function reasonWords(id: string, label: string, gap: number, figures: VerdictFigures): string {
  const { ownName, otherName, formatMoney } = figures
  const [ahead, behind] = gap > 0 ? [ownName, otherName] : [otherName, ownName]
  const amount = formatMoney(Math.abs(gap))
  return id === 'value-left'
    ? `${label}: ${amount} more for ${ahead}`
    : `${label}: ${amount} more for ${behind}`
}

function unknownOf({ comparison, notStated }: VerdictFigures): string {
  const unlike = comparison.pairs.filter((pair) => pair.ratio === null).length
  return [
    ...(unlike > 0 ? [`${unlike} of ${comparison.pairs.length} workloads are not like for like`] : []),
    ...(comparison.missing.length > 0 ? [`${comparison.missing.length} without any figure`] : []),
    ...(notStated.length > 0 ? [`its seller does not state ${notStated.join(', ')}`] : []),
  ].join('; ')
}
