import type { RateComparison } from '../components/compareRates'
import { gapByStep, type LikeForLike } from '../adjustments/likeForLike'
import { playStyles, type PlayStyle, type SpeedJudgement } from './playStyles'
import { outlaySteps } from '../adjustments/adjustments'

/** What the verdict is made from; amounts in minor units. */
export interface VerdictFigures {
  readonly ownName: string
  readonly otherName: string
  /** Whether the other is a machine that the builder has: it is kept, not bought. */
  readonly isOtherMine: boolean
  /** Years it is kept. */
  readonly years: number
  readonly own: LikeForLike
  readonly other: LikeForLike
  readonly comparison: RateComparison
  readonly style: PlayStyle
  /** What runs say of throttling, as it goes on after "it"; null where none throttled. */
  readonly ownHeat: string | null
  readonly otherHeat: string | null
  /** Whether the verdict turns within what is known of the value left at the end. */
  readonly isTooClose: boolean
  /** Things of which nobody knows what they fetch, so that no value is left on either side. */
  readonly worthUnknown: readonly string[]
  /** Machines of which nobody knows what they draw, so that energy counts on neither side. */
  readonly energyUnknown: readonly string[]
  /** Why each is no machine yet, as it goes on after its name; null where it is one. */
  readonly ownNotYet: string | null
  readonly otherNotYet: string | null
  readonly ownWatts: number | null
  readonly otherWatts: number | null
  /** What the other's seller does not state. */
  readonly notStated: readonly string[]
  readonly formatMoney: (amount: number) => string
}

/** A reason for one side, and what it weighs in money. */
export interface Reason {
  readonly words: string
  /** The same behind "Against it:". */
  readonly clause: string
  readonly weight: number
}

export interface WeighingVerdict {
  /** Who wins: cheaper and not slower, or faster and not dearer; else it depends. */
  readonly winner: 'own' | 'other' | 'depends'
  /** What to do with the money and the speed. */
  readonly sentence: string
  /** What speaks most against it, or what would decide it where neither wins; empty where nothing does. */
  readonly second: string
  /** What weighs most for each side, weightiest first. */
  readonly forOwn: readonly Reason[]
  readonly forOther: readonly Reason[]
  /** What is not known, as it goes on after "Not known:"; empty where all is. */
  readonly unknown: string
}

/** The verdict as it is read out: at most three sentences. */
export function verdictText({ sentence, second, unknown }: WeighingVerdict): string {
  return [sentence, second, unknown === '' ? '' : `Not known: ${unknown}.`]
    .filter((each) => each !== '')
    .join(' ')
}

/**
 * Verdict in words from the figures, for a way of playing. Swapping the machines swaps the winner; a machine that is
 * cheaper and faster always wins; without anything to compare speed by only cost is spoken of and nobody wins.
 */
export function weighingVerdict(figures: VerdictFigures): WeighingVerdict {
  const { own, other, comparison, style } = figures
  const speed = playStyles[style].judge(comparison, figures)
  const cheap = Math.sign(other.total - own.total)
  const { sign } = speed
  const winner =
    sign === null || figures.isTooClose
      ? 'depends'
      : cheap >= 0 && sign >= 0 && cheap + sign > 0
        ? 'own'
        : cheap <= 0 && sign <= 0 && cheap + sign < 0
          ? 'other'
          : 'depends'
  const reasons = reasonsOf(figures)
  const [forOwn, forOther] = [1, -1].map((side) =>
    reasons
      .filter((reason) => reason.side === side)
      .map(({ words, clause, weight }) => ({ words, clause, weight })),
  ) as [Reason[], Reason[]]
  return {
    winner,
    sentence: sentenceOf(figures, winner, speed),
    second:
      notYet(figures) !== ''
        ? ''
        : figures.isTooClose
          ? 'Resale values and parts that are not stated are only known within a range, and either could win within it.'
          : winner === 'depends'
            ? decidedBy(figures, speed)
            : winner === 'own'
              ? against(forOther, own.total, figures.ownHeat)
              : against(forOwn, other.total, figures.otherHeat),
    forOwn,
    forOther,
    unknown: unknownOf(figures),
  }
}

/** What the sums go by: over how long, and whether every step of them counts. */
function basis({ years, own, worthUnknown, energyUnknown }: VerdictFigures): string {
  // what is not known is said as such, not as a choice
  const notKnown = [
    ...(worthUnknown.length > 0 ? ['value-left'] : []),
    ...(energyUnknown.length > 0 ? ['energy'] : []),
  ]
  const all = own.steps.every(({ isOff, id }) => !isOff || notKnown.includes(id))
  return `over ${years} ${years === 1 ? 'year' : 'years'}, ${all ? 'all costs counted' : 'counting only the costs you ticked'},`
}

/** What keeps a machine from being weighed as one: the sentence begins with it. */
function notYet({ ownName, otherName, ownNotYet, otherNotYet }: VerdictFigures): string {
  if (ownNotYet !== null) return `${ownName} ${ownNotYet}`
  return otherNotYet === null ? '' : `${otherName} ${otherNotYet}`
}

function costs(gap: number, than: string, formatMoney: VerdictFigures['formatMoney']): string {
  if (gap === 0) return `costs the same as ${than}`
  return `costs ${formatMoney(Math.abs(gap))} ${gap > 0 ? 'less' : 'more'} than ${than}`
}

function sentenceOf(
  figures: VerdictFigures,
  winner: WeighingVerdict['winner'],
  { sign, ofOwn, ofOther }: SpeedJudgement,
): string {
  const { ownName, otherName, own, other, formatMoney, isOtherMine } = figures
  const gap = other.total - own.total
  const by = basis(figures)
  const ownCosts = `${ownName} ${costs(gap, otherName, formatMoney)}`
  const lacks = notYet(figures)
  if (lacks !== '') {
    const speed = sign === null ? '' : ` and ${ofOwn}`
    return `${lacks}, so there is no verdict yet: ${by} ${ownCosts} as it stands${speed}.`
  }
  if (winner === 'own') return `Build it: ${by} ${ownCosts} and ${ofOwn}.`
  if (winner === 'other')
    return `${isOtherMine ? 'Keep' : 'Buy'} ${otherName}: ${by} it ${costs(-gap, ownName, formatMoney)} and ${ofOther}.`
  if (sign === null)
    return `No verdict yet: ${by} ${ownCosts}, but no workload can be compared at the same settings.`
  if (figures.isTooClose) return `Too close to call: ${by} ${ownCosts} and ${ofOwn}.`
  if (gap === 0) return `Neither wins: ${by} the two cost the same, and ${ownName} ${ofOwn}.`
  const [cheaper, faster, said] = gap > 0 ? [ownName, otherName, ofOther] : [otherName, ownName, ofOwn]
  return `Neither wins: ${by} ${cheaper} costs ${formatMoney(Math.abs(gap))} less and ${faster} ${said}.`
}

/** What would decide it where neither wins. */
function decidedBy({ own, other, otherName, formatMoney }: VerdictFigures, { sign }: SpeedJudgement): string {
  if (sign === null)
    return `A frame rate of ${otherName} in one of your targets would decide it; enter it in Rivals.`
  const gap = Math.abs(other.total - own.total)
  return gap === 0
    ? 'Take the one you like better.'
    : `Decide whether that is worth ${formatMoney(gap)} to you.`
}

/** Reasons below so small a share of what the machine costs are not worth a sentence. */
const worthSaying = 0.01

/** What speaks against the winner: what weighs most in money or speed, and that it gets too hot. */
function against([most]: readonly Reason[], total: number, heat: string | null): string {
  const clauses = [
    ...(most && most.weight >= worthSaying * Math.abs(total) ? [most.clause] : []),
    ...(heat === null ? [] : [`it ${heat}`]),
  ]
  return clauses.length === 0 ? '' : `Against it: ${clauses.join(', and ')}.`
}

/** Every reason with its side, weightiest first: the steps of the waterfall, what is paid at once taken together, and speed. */
function reasonsOf(figures: VerdictFigures): (Reason & { readonly side: number })[] {
  const { own, other, comparison, style } = figures
  const gaps = gapByStep(own, other)
  const outlay = gaps.filter((each) => outlaySteps.has(each.id)).reduce((sum, each) => sum + each.gap, 0)
  const money = [
    { id: 'outlay', label: 'cost until ready to use', gap: outlay },
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
            clause: 'it is slower',
          },
        ]
  return [
    ...money.map(({ id, label, gap }) => ({
      side: Math.sign(gap),
      weight: Math.abs(gap),
      words: reasonWords(id, label, gap, figures),
      clause: `${label}, ${figures.formatMoney(Math.abs(gap))} ${id === 'value-left' ? 'less' : 'more'}`,
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

function unknownOf({ comparison, notStated, worthUnknown, energyUnknown }: VerdictFigures): string {
  const workloads = (count: number) => `${count} ${count === 1 ? 'workload' : 'workloads'}`
  const unlike = comparison.pairs.filter((pair) => pair.ratio === null).length
  return [
    ...(unlike > 0 ? [`its fps at your settings in ${workloads(unlike)}`] : []),
    ...(comparison.missing.length > 0 ? [`its fps in ${workloads(comparison.missing.length)}`] : []),
    ...(worthUnknown.length > 0
      ? [`resale price of ${listed(worthUnknown)}, so resale value is not counted on either side`]
      : []),
    ...(energyUnknown.length > 0
      ? [`power draw of ${listed(energyUnknown)}, so energy is not counted on either side`]
      : []),
    ...(notStated.length > 0 ? [`${notStated.join(', ')}: not stated by the seller`] : []),
  ].join('; ')
}

/** At most three by name, the rest by number. */
function listed(names: readonly string[]): string {
  const rest = names.length - mostNamed
  return rest > 0 ? `${names.slice(0, mostNamed).join(', ')} and ${rest} more` : names.join(' and ')
}
const mostNamed = 2
