import type { RateComparison, TargetCount } from '../components/compareRates'

/** What speed comes to for a way of playing. */
export interface SpeedJudgement {
  /** 1: the own machine is ahead, −1: behind, 0: level; null: cannot be told. */
  readonly sign: 1 | 0 | -1 | null
  /** What it is, said of the own machine and said of the other, as it goes on after "it costs 308 less and". */
  readonly ofOwn: string
  readonly ofOther: string
  /** How much it weighs beside money, as a share of a machine's cost. */
  readonly weight: number
}

export interface StyleContext {
  readonly ownWatts: number | null
  readonly otherWatts: number | null
}

interface PlayStyleRule {
  readonly name: string
  judge(comparison: RateComparison, context: StyleContext): SpeedJudgement
}

/** Ratios within this share of each other are called level. */
const level = 0.03
/** A target more or less weighs as much as this share of the cost. */
const targetWeight = 0.2
/** Watts within this share are called level. */
const levelWatts = 0.1

/** Whether a ratio lies within a share of one, the same for the ratio turned round. */
function isLevel(ratio: number, share: number): boolean {
  // a ratio right at the edge may be rounded to either side when it is turned round
  return Math.abs(Math.log(ratio)) <= Math.log(1 + share) + 1e-9
}

/** `18 % faster`, from either side; a share of the slower one's rate, so that both sides name their own figure. */
function byRatio(ratio: number | null, counted: number, where: string): SpeedJudgement {
  if (ratio === null) return notToBeTold
  const on = `${where}in ${counted} ${counted === 1 ? 'workload' : 'workloads'} at the same settings`
  const weight = Math.abs(Math.log(ratio))
  if (isLevel(ratio, level)) {
    const words = `is equally fast ${on}`
    return { sign: 0, ofOwn: words, ofOther: words, weight }
  }
  // what a float adds in the sixth place must not decide a half
  const percent = (of: number) => Math.round(Number((Math.abs(of - 1) * 100).toFixed(6)))
  const said = (of: number) => `is ${percent(of)} % ${of > 1 ? 'faster' : 'slower'} ${on}`
  return { sign: ratio > 1 ? 1 : -1, ofOwn: said(ratio), ofOther: said(1 / ratio), weight }
}

const notToBeTold: SpeedJudgement = { sign: null, ofOwn: '', ofOther: '', weight: 0 }

/** Where only fixed modes can be held against each other. */
function byModes({ modes }: RateComparison): SpeedJudgement | null {
  if (modes.length === 0) return null
  const count = (standing: string) => modes.filter((mode) => mode.standing === standing).length
  const [better, worse] = [count('better'), count('worse')]
  const held = modes.filter((mode) => mode.heldAt !== null).length
  const all = modes.length === 1 ? 'its one fixed mode' : `${modes.length} fixed modes`
  const ofOwn = [
    held === modes.length
      ? `matches ${modes.length === 1 ? all : `each of the ${all}`}`
      : `matches ${held} of ${modes.length === 1 ? '1 fixed mode' : `the ${all}`}`,
    ...(better > 0 ? [`${better} at higher settings`] : []),
    ...(worse > 0 ? [`${worse} only at lower settings or not at all`] : []),
  ].join(', ')
  const shown =
    modes.length === 1 ? all : worse === modes.length ? `each of its ${all}` : `${worse} of its ${all}`
  const ofOther =
    worse === 0 ? `has nothing in ${all} that the build cannot match` : `beats the build in ${shown}`
  return {
    sign: worse === 0 && better > 0 ? 1 : better === 0 && worse > 0 ? -1 : 0,
    ofOwn,
    ofOther,
    weight: (targetWeight * Math.abs(better - worse)) / modes.length,
  }
}

/** A target met counts one, one narrowly met half. */
function byTargets(comparison: RateComparison): SpeedJudgement | null {
  const { own, other, of } = comparison.targets
  if (of === 0) return null
  const ahead = own.met + own.narrow / 2 - other.met - other.narrow / 2
  const said = ({ met, narrow }: TargetCount) => {
    if (of === 1) return met === 1 ? 'the target' : narrow === 1 ? 'the target only just' : 'not the target'
    if (met === 0) return narrow > 0 ? `${narrow} of ${of} targets only just` : 'no target'
    const reached = met < of ? `${met} of ${of} targets` : of === 2 ? 'both targets' : `all ${of} targets`
    return `${reached}${narrow > 0 ? ` and ${narrow} more only just` : ''}`
  }
  const beside = ({ met, narrow }: TargetCount) =>
    met === 0 && narrow > 0 ? `${narrow} only just` : `${met}${narrow > 0 ? ` and ${narrow} only just` : ''}`
  if (ahead === 0) {
    const words = own.met + own.narrow === 0 ? 'misses every target too' : `reaches ${said(own)} too`
    return { sign: 0, ofOwn: words, ofOther: words, weight: 0 }
  }
  return {
    sign: ahead > 0 ? 1 : -1,
    ofOwn: `reaches ${said(own)}${of === 1 ? '' : `; the other ${beside(other)}`}`,
    ofOther: `reaches ${said(other)}${of === 1 ? '' : `; your build ${beside(own)}`}`,
    weight: targetWeight * Math.abs(ahead),
  }
}

const averages = (comparison: RateComparison) =>
  byRatio(comparison.meanRatio, comparison.pairs.filter((pair) => pair.ratio !== null).length, '')

const allRound = (comparison: RateComparison) =>
  comparison.meanRatio === null ? (byModes(comparison) ?? averages(comparison)) : averages(comparison)

/** Ways of playing, by what counts as faster. */
export const playStyles = {
  'all-round': { name: 'all-round', judge: allRound },
  competitive: {
    name: 'competitive: 1 % lows count',
    judge: (comparison) =>
      comparison.meanLowRatio === null
        ? allRound(comparison)
        : byRatio(
            comparison.meanLowRatio,
            comparison.pairs.filter((pair) => pair.lowRatio !== null).length,
            'in 1 % lows ',
          ),
  },
  couch: {
    name: 'couch: reaching the targets counts',
    judge: (comparison) => byTargets(comparison) ?? byModes(comparison) ?? averages(comparison),
  },
  quiet: {
    name: 'quiet work: targets, then power draw',
    judge: (comparison, context) => {
      const targets = byTargets(comparison) ?? byModes(comparison) ?? averages(comparison)
      const { ownWatts, otherWatts } = context
      if (
        targets.sign !== 0 ||
        ownWatts === null ||
        otherWatts === null ||
        isLevel(ownWatts / otherWatts, levelWatts)
      )
        return targets
      const drawing = (watts: number, against: number) =>
        `, drawing ${Math.round(watts)} W against ${Math.round(against)} W`
      return {
        sign: ownWatts < otherWatts ? 1 : -1,
        ofOwn: `${targets.ofOwn}${drawing(ownWatts, otherWatts)}`,
        ofOther: `${targets.ofOther}${drawing(otherWatts, ownWatts)}`,
        weight: targetWeight / 2,
      }
    },
  },
} as const satisfies Record<string, PlayStyleRule>
export type PlayStyle = keyof typeof playStyles
