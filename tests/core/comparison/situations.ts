import type { RateComparison } from '#core/comparison/components/compareRates'
import { compareRates } from '#core/comparison/components/compareRates'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import { verdictText, weighingVerdict } from '#core/comparison/verdict/verdict'
import type { PlayStyle } from '#core/comparison/verdict/playStyles'
import type { WeighedMachine, WeighingTerms } from '#core/comparison/weighedMachine'
import { machine, rate, terms } from './machines'

/** Every situation a verdict can be in, each with what it says: `verdicts.txt` is read by people. */
interface Situation {
  readonly title: string
  readonly gap: number
  readonly own?: Partial<WeighedMachine>
  readonly other?: Partial<WeighedMachine>
  readonly style?: PlayStyle
  readonly by?: Partial<WeighingTerms>
  readonly modes?: RateComparison['modes']
  readonly isTooClose?: boolean
}

const gaps = [
  ['dearer', -14_200],
  ['as dear', 0],
  ['cheaper', 9000],
] as const
const games = (ratio: number | null, count = 3, low = false) =>
  ratio === null
    ? { own: {}, other: {} }
    : {
        own: {
          rates: Array.from({ length: count }, (_, at) =>
            rate(`g${at}`, 60 * ratio, '1920x1080 high', low ? 40 * ratio : null),
          ),
        },
        other: {
          rates: Array.from({ length: count }, (_, at) =>
            rate(`g${at}`, 60, '1920x1080 high', low ? 40 : null),
          ),
        },
      }
const targets = (...verdicts: readonly ('met' | 'narrow' | 'missed')[]) =>
  verdicts.map((verdict, at) => ({ name: `t${at}`, verdict }))
const mode = (standing: 'better' | 'level' | 'worse', held = true) =>
  ({
    mode: { workloadId: 'g0', width: 3840, height: 2160, fps: 60, lowFps: null },
    standing,
    heldAt: held ? 'high' : null,
  }) as unknown as RateComparison['modes'][number]

function* all(): Generator<Situation> {
  for (const [money, gap] of gaps)
    for (const [speed, ratio] of [
      ['faster', 1.18],
      ['slower', 0.88],
      ['level', 1.01],
      ['not comparable', null],
    ] as const)
      yield { title: `${money}, ${speed}`, gap, ...games(ratio) }
  for (const [money, gap] of gaps)
    for (const [speed, ratio] of [
      ['better lows', 1.2],
      ['worse lows', 0.8],
      ['level lows', 1],
    ] as const)
      yield { title: `competitive: ${money}, ${speed}`, gap, style: 'competitive', ...games(ratio, 1, true) }
  for (const [money, gap] of gaps)
    for (const [what, own, other] of [
      ['more targets', targets('met', 'met', 'met'), targets('met', 'missed', 'met')],
      ['fewer targets', targets('met', 'missed'), targets('met', 'met')],
      ['narrowly more', targets('narrow', 'met'), targets('missed', 'met')],
      ['only narrow ones', targets('narrow'), targets('missed')],
      ['as many', targets('met', 'met'), targets('met', 'met')],
    ] as const)
      yield {
        title: `couch: ${money}, ${what}`,
        gap,
        style: 'couch',
        own: { targets: own },
        other: { targets: other },
      }
  for (const [money, gap] of gaps)
    for (const [what, ownW, otherW] of [
      ['draws less', 180, 300],
      ['draws more', 300, 180],
    ] as const)
      yield {
        title: `quiet: ${money}, ${what}`,
        gap,
        style: 'quiet',
        own: { targets: targets('met'), watts: { full: ownW, idle: 40, kind: 'measured' } },
        other: { targets: targets('met'), watts: { full: otherW, idle: 40, kind: 'stated' } },
        by: { tariff: 0 },
      }
  for (const [money, gap] of gaps)
    for (const [what, modes] of [
      ['holds each, one finer', [mode('better'), mode('level')]],
      ['holds its one', [mode('level')]],
      ['one it cannot hold', [mode('worse', false), mode('level')]],
      ['none of them', [mode('worse', false), mode('worse', false), mode('worse', false)]],
      ['one finer, one lighter', [mode('better'), mode('worse')]],
    ] as const)
      yield { title: `console: ${money}, ${what}`, gap, modes: [...modes] }
  for (const [what, own] of [
    ['hours', { hours: 6 }],
    ['a subscription', { subscriptionPerYear: 4000 }],
    ['dearer games', { gameSurcharge: 500 }],
    ['less value left', { resaleToday: 0 }],
    ['too little to say', { gameSurcharge: 10 }],
  ] as const) {
    yield {
      title: `against the build: ${what}`,
      gap: 9000,
      own: { ...games(1.18).own, ...own },
      other: { ...games(1.18).other, ...(what === 'less value left' ? { resaleToday: 30_000 } : {}) },
      by: { perHour: 1200 },
    }
    yield {
      title: `against the other: ${what}`,
      gap: -9000,
      own: { ...games(0.8).own, ...(what === 'less value left' ? { resaleToday: 30_000 } : {}) },
      other: { ...games(0.8).other, ...own },
      by: { perHour: 1200 },
    }
  }
  for (const notStated of [['memory speed'], ['memory speed', 'make of the supply']])
    yield {
      title: `${notStated.length} not stated`,
      gap: 9000,
      own: games(1.18).own,
      other: { ...games(1.18).other, notStated },
    }
  for (const count of [1, 3])
    yield {
      title: `one of ${count} at other settings`,
      gap: 9000,
      own: games(1.18, count).own,
      other: {
        rates: [rate('g0', 60, '1920x1080 low'), ...(games(1.18, count).other.rates ?? []).slice(1)],
      },
    }
  for (const count of [1, 2])
    yield {
      title: `${count} without a rate`,
      gap: 9000,
      own: games(1.18, 1 + count).own,
      other: { rates: (games(1.18, 1).other.rates ?? []).slice(0, 1) },
    }
  for (const years of [1, 5]) yield { title: `over ${years}`, gap: 9000, by: { years }, ...games(1.18, 1) }
  const drawing = { watts: { full: 250, idle: 40, kind: 'measured' } } as const
  yield {
    title: 'energy not counted',
    gap: 9000,
    by: { off: ['energy'] },
    own: { ...games(1.18).own, ...drawing },
    other: { ...games(1.18).other, ...drawing },
  }
  for (const [money, gap] of gaps)
    yield {
      title: `couch: ${money}, no target on either side`,
      gap,
      style: 'couch',
      own: { targets: targets('missed', 'missed') },
      other: { targets: targets('missed', 'missed') },
    }
  for (const [money, gap] of gaps) {
    const { own, other } = games(0.88)
    yield { title: `a machine of mine: ${money}, slower`, gap, own, other: { ...other, kind: 'own' } }
  }
}

/** A machine whose own runs throttled: said of whoever wins, beside what else speaks against it. */
function* hot(): Generator<Situation> {
  const heat = 'throttled for heat in 2 of 3 runs'
  yield { title: 'throttles, and wins', gap: 9000, ...withHeat(games(1.18), { own: heat }) }
  yield {
    title: 'throttles, wins, and something else speaks against it',
    gap: 9000,
    ...withHeat(games(1.18), { own: heat }),
    by: { perHour: 2000 },
  }
  yield { title: 'throttles, and loses', gap: -9000, ...withHeat(games(0.88), { own: heat }) }
  yield { title: 'the other throttles, and wins', gap: -9000, ...withHeat(games(0.88), { other: heat }) }
}
/** What is not known of the value left at the end, or only within a range. */
function* unsureValue(): Generator<Situation> {
  for (const worthUnknown of [['Brindlewick 5'], ['Barrow case', 'Lull cooler', 'Race drive']])
    yield {
      title: `value left not known, of ${worthUnknown.length}`,
      gap: 9000,
      by: { worthUnknown, off: ['value-left'] },
      ...games(1.18),
    }
  for (const [money, gap] of gaps)
    yield { title: `too close to call: ${money}`, gap, isTooClose: true, ...games(1.0) }
}

const withHeat = (
  { own, other }: ReturnType<typeof games>,
  heat: { readonly own?: string; readonly other?: string },
) => ({ own: { ...own, heat: heat.own ?? null, hours: 2 }, other: { ...other, heat: heat.other ?? null } })

/** A line for each situation: what it is, and the verdict as it is read. */
export const situations = (): string[] =>
  [...all(), ...hot(), ...unsureValue()].map(
    ({ title, gap, own, other, style = 'all-round', by, modes = [], isTooClose = false }) => {
      const weighedBy = terms(by)
      const [mine, theirs] = [
        machine({ name: 'Couch corner', price: 60_000, ...own }),
        machine({ id: 'other', name: 'Brindlewick 5', kind: 'prebuilt', price: 60_000 + gap, ...other }),
      ]
      return `${title}\n  ${verdictText(
        weighingVerdict({
          ownName: mine.name,
          otherName: theirs.name,
          isOtherMine: theirs.kind === 'own',
          years: weighedBy.years,
          own: likeForLike(mine, weighedBy),
          other: likeForLike(theirs, weighedBy),
          comparison: compareRates(mine, theirs, modes),
          style,
          isTooClose,
          worthUnknown: weighedBy.worthUnknown,
          energyUnknown: weighedBy.energyUnknown,
          ownNotYet: mine.notYet,
          otherNotYet: theirs.notYet,
          ownHeat: mine.heat,
          otherHeat: theirs.heat,
          ownWatts: mine.watts?.full ?? null,
          otherWatts: theirs.watts?.full ?? null,
          notStated: theirs.notStated,
          formatMoney: (amount) => (amount / 100).toFixed(2),
        }),
      )}`
    },
  )
