import type { RateComparison, TargetCount } from '../components/compareRates'

/** What speed comes to for a way of playing. */
export interface SpeedJudgement {
  /** 1: the own machine is ahead, −1: behind, 0: level; null: cannot be told. */
  readonly sign: 1 | 0 | -1 | null
  /** As it goes on after "… costs 308 less to own than X". */
  readonly words: string
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

function byRatio(ratio: number | null, counted: number, what: string): SpeedJudgement {
  if (ratio === null)
    return { sign: null, words: ', and no workload can be compared at the same settings', weight: 0 }
  const on = `at the same settings (${counted} ${counted === 1 ? 'workload' : 'workloads'})`
  const weight = Math.abs(Math.log(ratio))
  if (isLevel(ratio, level)) return { sign: 0, words: ` and ${what} level in speed ${on}`, weight }
  if (ratio > 1)
    return { sign: 1, words: ` and ${what} ${Math.round((ratio - 1) * 100)} % faster ${on}`, weight }
  return { sign: -1, words: ` and ${what} ${Math.round((1 - ratio) * 100)} % slower ${on}`, weight }
}

/** Where only fixed modes can be held against each other. */
function byModes({ modes }: RateComparison): SpeedJudgement | null {
  if (modes.length === 0) return null
  const count = (standing: string) => modes.filter((mode) => mode.standing === standing).length
  const [better, worse] = [count('better'), count('worse')]
  const held = modes.filter((mode) => mode.heldAt !== null).length
  const words = ` and holds ${held === modes.length ? (held === 1 ? 'its one fixed mode' : `each of its ${held} fixed modes`) : `${held} of its ${modes.length} fixed modes`}${better > 0 ? `, ${better} at finer settings` : ''}${worse > 0 ? `, ${worse} only at lighter settings or not at all` : ''}`
  return {
    sign: worse === 0 && better > 0 ? 1 : better === 0 && worse > 0 ? -1 : 0,
    words,
    weight: (targetWeight * Math.abs(better - worse)) / modes.length,
  }
}

/** A target met counts one, one narrowly met half. */
function byTargets(comparison: RateComparison): SpeedJudgement | null {
  const { own, other, of } = comparison.targets
  if (of === 0) return null
  const ahead = own.met + own.narrow / 2 - other.met - other.narrow / 2
  const said = ({ met, narrow }: TargetCount) => {
    const targets = of === 1 ? 'target' : 'targets'
    if (met === 0 && narrow > 0) return `${narrow} of ${of} ${targets} narrowly`
    return `${met === of && of > 1 ? `all ${of}` : `${met} of ${of}`} ${targets}${narrow > 0 ? ` and ${narrow} more narrowly` : ''}`
  }
  const there =
    other.met === 0 && other.narrow > 0
      ? `${other.narrow} narrowly`
      : `${other.met}${other.narrow > 0 ? ` and ${other.narrow} narrowly` : ''}`
  if (ahead === 0) return { sign: 0, words: ` and both reach ${said(own)}`, weight: 0 }
  return {
    sign: ahead > 0 ? 1 : -1,
    words: ` and reaches ${said(own)}, against ${there} there`,
    weight: targetWeight * Math.abs(ahead),
  }
}

const averages = (comparison: RateComparison) =>
  byRatio(comparison.meanRatio, comparison.pairs.filter((pair) => pair.ratio !== null).length, 'is')

const allRound = (comparison: RateComparison) =>
  comparison.meanRatio === null ? (byModes(comparison) ?? averages(comparison)) : averages(comparison)

/** Ways of playing, by what counts as faster. */
export const playStyles = {
  'all-round': { name: 'all-round', judge: allRound },
  competitive: {
    name: 'competitive: the lows count',
    judge: (comparison) =>
      comparison.meanLowRatio === null
        ? allRound(comparison)
        : byRatio(
            comparison.meanLowRatio,
            comparison.pairs.filter((pair) => pair.lowRatio !== null).length,
            'in its 1 % lows is',
          ),
  },
  couch: {
    name: 'couch: reaching the targets counts',
    judge: (comparison) => byTargets(comparison) ?? byModes(comparison) ?? averages(comparison),
  },
  quiet: {
    name: 'quiet work: targets, then watts',
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
      return {
        sign: ownWatts < otherWatts ? 1 : -1,
        words: `${targets.words}, drawing ${Math.round(ownWatts)} W against ${Math.round(otherWatts)} W`,
        weight: targetWeight / 2,
      }
    },
  },
} as const satisfies Record<string, PlayStyleRule>
export type PlayStyle = keyof typeof playStyles
