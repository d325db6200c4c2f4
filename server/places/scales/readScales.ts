import type { BuildRow } from '#server/context/findBuild'
import { formatAmount } from '#core/money/formatAmount'
import { moneyIn } from '#server/context/settings'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { roomWords, upgradeRoom } from '#core/machine/upgrades/upgradeRoom'
import { yearsBetween } from '#core/time/calendarDate'
import { ageDecline, type AgedPart } from '#core/comparison/adjustments/ageDecline'
import { compareComponents } from '#core/comparison/components/compareComponents'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import type { NeedPrices, WeighedComponent, WeighingTerms } from '#core/comparison/weighedMachine'
import { keptValue } from '#core/comparison/adjustments/keptValue'
import { yearlyFaults } from '#core/comparison/adjustments/yearlyFaults'
import { weigh, withoutUnknown } from '#core/comparison/weigh'
import { indexOfPart, indexUnit } from '#core/parts/indexOfPart'
import { weighingDefaults, type WeighingSettings } from '#shared/scales/settings'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import type { World } from '#server/readings/world'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { streetAt } from '#server/context/market'
import { marketOf } from '#server/context/marketReadings'
import { reading, sameContent } from '#server/readings/reading'
import { asPart, onThese, ownMachine, questionsOf, rivalMachine } from './weighedMachines'
import type { BuildToWeigh, Scales } from '#server/context/buildToWeigh'

/** The rivals a build is compared with, by their ids. */
export function rivalsOf({ rows }: World, buildId: string) {
  return rows.buildRivals
    .where('buildId', buildId)
    .map(({ rivalId }) => rows.rivals.one('id', rivalId)!)
    .filter(({ deletedAt }) => deletedAt === null)
    .sort((a, b) => (a.id < b.id ? -1 : 1))
}

/** How a build is weighed: as it was set, else as usual. */
export const settingsOf = ({ weighing }: Pick<BuildRow, 'weighing'>): WeighingSettings => ({
  ...weighingDefaults,
  ...weighing,
})

/**
 * A build on the scales with its rivals: machines of the library, and other builds (`loadBuild` answers null for one
 * that is gone).
 */
export function weighBuild(
  world: World,
  subject: BuildToWeigh,
  scales: Scales,
  loadBuild: (id: string) => BuildToWeigh | null,
): BuildView['weighing'] {
  const { build } = subject
  const settings = settingsOf(build)
  const asked = termsOf(build, settings, scales)
  const chosen = rivalsOf(world, build.id)
  const own = ownMachine(subject, settings, scales)
  const frames = frameMachineOf(subject.parts).machine
  const rules = machineRules(scales.market, build, scales.today)
  const room = (components: readonly WeighedComponent[]) =>
    roomWords(
      upgradeRoom(components.map(asPart), {
        rule: rules.supplyRule,
        year: fitBriefOf(scales.market, build, scales.today).year,
        power: scales.market.assumptions.power,
      }),
    )
  const rivalMachines = chosen.map((rival) =>
    rivalMachine(rival, world.rows.rivalRates.where('rivalId', rival.id), subject, scales),
  )
  const builds = settings.builds
    .map(loadBuild)
    .flatMap((other) => (other === null || other.build.currency !== build.currency ? [] : [other]))
  const buildMachines = builds.map((other) =>
    ownMachine(
      { ...other, targets: onThese(subject.targets, other.parts, scales.performance.workloads) },
      settings,
      scales,
    ),
  )
  // one list of steps for every machine in the table
  const terms = withoutUnknown([own, ...rivalMachines, ...buildMachines], asked)
  const ownView: WeighedView = {
    machine: own,
    equivalents: [],
    cost: likeForLike(own, terms),
    comparison: null,
    verdict: null,
    components: [],
    questions: [],
    room: room(own.components),
  }
  const others = chosen.map((rival, at): WeighedView => {
    const machine = rivalMachines[at]!
    const weighed = weigh(own, machine, {
      terms,
      style: settings.style,
      workloads: scales.performance.workloads,
      ownFrames: frames,
      equivalents: rival.equivalents,
      formatMoney: (amount) => formatAmount(amount, build.currency),
    })
    return {
      machine,
      equivalents: rival.equivalents,
      cost: weighed.other,
      comparison: weighed.comparison,
      verdict: weighed.verdict,
      components: compareComponents(own, machine),
      questions: questionsOf(rival),
      room: room(machine.components),
    }
  })
  const besides = buildMachines.map((machine): WeighedView => {
    const weighed = weigh(own, machine, {
      terms,
      style: settings.style,
      workloads: scales.performance.workloads,
      ownFrames: frames,
      equivalents: [],
      formatMoney: (amount) => formatAmount(amount, build.currency),
    })
    return {
      machine,
      equivalents: [],
      cost: weighed.other,
      comparison: weighed.comparison,
      verdict: weighed.verdict,
      components: compareComponents(own, machine),
      questions: [],
      room: room(machine.components),
    }
  })
  return { settings, terms, frames, own: ownView, others: [...others, ...besides] }
}

/** The builder's terms: the same for every machine on the scales. */
function termsOf(build: BuildRow, settings: WeighingSettings, { market, today }: Scales): WeighingTerms {
  const rules = machineRules(market, build, today)
  const needPrices: NeedPrices = Object.fromEntries(build.needs.map(({ need, price }) => [need, price]))
  const { kept, low, high } = valueKept(market.world, build.currency, today)
  return {
    years: settings.years,
    fullHours: rules.fullHours,
    idleHours: rules.idleHours,
    tariff: rules.tariff,
    perHour: build.houseRules.perHour ?? 0,
    gamesPerYear: settings.gamesPerYear,
    usualShipping: settings.usualShipping ?? moneyIn(market, 'delivery', build.currency, today),
    needPrices,
    yearly: yearlyFaults(market.assumptions.risk),
    year: Number(today.slice(0, 4)),
    keeps: kept,
    keepsRange: { low, high },
    assumedWorth: settings.assumeWorth ? market.assumptions.resale.rivalShare : null,
    worthUnknown: [],
    energyUnknown: [],
    unstatedUpTo: market.assumptions.comparison.unstatedUpTo,
    wholeFactor: market.assumptions.resale.wholeFactor,
    off: settings.off,
    edits: settings.edits,
  }
}

/** What machines keep of their value a year, read from the library's prices by age. */
const valueKept = reading(
  'value kept a year',
  (world, currency: string, today: string) => {
    const market = marketOf(world)
    const aged = market.library.flatMap((part): AgedPart[] => {
      const street = streetAt(market, part.id, today, currency)
      const worth = indexOfPart(part)
      return street === null || worth === null || part.facts.year === undefined
        ? []
        : [
            {
              role: part.role,
              ageYears: yearsBetween(`${part.facts.year}-07-01`, today),
              worth: indexUnit(part.role) === 'index' ? null : worth,
              street,
            },
          ]
    })
    return keptValue(ageDecline(aged), market.assumptions.comparison)
  },
  { same: sameContent },
)
