import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import { energy } from '#core/comparison/adjustments/rules/energy'
import { leastInOrder } from '#core/planning/leastInOrder'
import { ownLeasts, pairName, type EnteredWay, type OwnBudget } from '#core/planning/ownBudget'
import type { BuildQuestion, BuildWay } from '#core/planning/buildQuestion'
import type { Condition } from '#core/reading/sales/soldRecord'
import type { Change } from '#core/whatif/change'
import { buildRow } from '#server/context/findBuild'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { streetAt } from '#server/context/market'
import { newOffers } from '#server/context/newOffers'
import { measuredWatts } from '#server/context/performance'
import { buildReading } from '#server/context/readBuild'
import { waysOf } from '#server/context/waysToGet'
import { machinePair } from '#core/performance/model/machineOf'
import type { World } from '#server/readings/world'
import { changed } from '#server/whatif/whatIf'
import type { BuildView } from '#shared/builds/views'
import { buildPage } from '../builds/buildView'
import { goneChoices } from '../plan/planBasis'
import { componentOf, conditionIn, entered as enteredOf } from './weighedMachines'

/**
 * What a machine may take to own beside a rival, and the least that each way of a plan adds to that. A public code that
 * holds for several things together is not looked into.
 */
export function ownBudget(
  world: World,
  view: BuildView,
  question: BuildQuestion,
  rivalId: string,
): OwnBudget {
  const { today } = view
  const build = buildRow(world, view.id)
  const removed = goneChoices(world, view, []).map((choice): Change => ({ kind: 'remove', choice }))
  const { own, others, terms, settings } = buildPage(
    changed(world, view.id, removed, today),
    view.id,
    today,
  ).weighing
  const rival = others.find(({ machine }) => machine.id === rivalId)!.machine
  // without a supply nobody knows what it draws; with one it is known, where it is of the rival
  const isOff = (step: string) => step !== energy.id || settings.off.includes(step) || rival.watts === null
  const by = { ...terms, off: terms.off.filter(isOff) }
  const edited = terms.edits[build.id] ?? {}
  const counts = (step: string) => !by.off.includes(step) && edited[step] === undefined
  const measured = measuredPairs(world, view, question)
  return {
    rivalId,
    ...ownLeasts(enteredWays(world, view, question), {
      terms: by,
      basis: settings.basis,
      counts,
      rival: likeForLike(rival, by),
      standing: likeForLike(own.machine, by),
      measured,
    }),
    energy: counts(energy.id) ? energyTerms(world, view) : null,
    measured,
  }
}

/** A way of the question before its parts are known. */
type Entry = Pick<EnteredWay, 'isOwned' | 'rebatesExpected' | 'arrival'> & { readonly condition: Condition }

/** Ways that a plan decides about, as the scales would enter them; what stays whatever is planned is none of them. */
function enteredWays(
  world: World,
  view: BuildView,
  { ways, parts, orders }: BuildQuestion,
): Map<string, EnteredWay> {
  const { scales } = buildReading(world, view.id, view.today)
  const build = buildRow(world, view.id)
  const partOf = new Map(parts.map((part) => [part.id, part]))
  const entries = new Map([...presentEntries(world, view), ...offeredEntries(world, view)])
  const paid = (way: BuildWay) => {
    const order = orders.find(({ source }) => source === way.source)
    return order && way.order ? leastInOrder(way.order, 0, order).price : way.payNow
  }
  /** The least that anybody pays for it, ordered with whatever else. */
  const anyone = (part: (typeof parts)[number], isNew: boolean): number | null => {
    const isBarred = isNew || build.houseRules.neverUsed.includes(part.role)
    const used = isBarred
      ? null
      : streetAt(scales.market, part.id, view.today, build.currency, build.houseRules.patience)
    const asks = newOffers(scales.market, part.id, build.currency, view.today)
    const all = [...(used === null ? [] : [used]), ...asks.map(({ itemWithTax }) => itemWithTax)]
    return all.length === 0 ? null : Math.min(...all)
  }
  return new Map(
    ways.flatMap((way): [string, EnteredWay][] => {
      const entry = entries.get(way.id)
      if (!entry) return []
      const { condition, ...rest } = entry
      const things = way.partIds
        .flatMap((id) => partOf.get(id) ?? [])
        .map((part) => ({
          part,
          component: componentOf(part, condition, build.currency, scales, way.payNow),
          anyone: anyone(part, condition === 'new'),
        }))
      return [[way.id, { ...rest, paid: paid(way), things }]]
    }),
  )
}

function presentEntries(world: World, view: BuildView): [string, Entry][] {
  const build = buildRow(world, view.id)
  const gone = new Set(goneChoices(world, view, []))
  return view.choices
    .filter(({ id }) => gone.has(id))
    .map((choice) => {
      const { isOwned, rebatesExpected } = enteredOf(choice)
      const condition = conditionIn(build, choice.roles[0]!, isOwned ? 'used' : choice.condition)
      return [`choice:${choice.id}`, { condition, isOwned, rebatesExpected, arrival: 0 }]
    })
}

function offeredEntries(world: World, view: BuildView): [string, Entry][] {
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  return waysOf(world, view.id, view.today, chosen).map((way) => {
    const isOwned = way.kind === 'item'
    // of an order the risk is shared with what lies there
    const isAlone = way.kind === 'hunt' || way.kind === 'shop'
    return [
      way.id,
      {
        condition: isOwned ? 'used' : way.condition,
        isOwned,
        rebatesExpected: way.payNow - way.afterRebates,
        arrival: isAlone ? Math.max(0, way.expected - way.payNow - 1) : 0,
      },
    ]
  })
}

/** CPUs and cards on offer whose wall draw was measured together: that is their energy, whatever their parts may draw. */
function measuredPairs(world: World, view: BuildView, { parts }: BuildQuestion): string[] {
  const { performance } = buildReading(world, view.id, view.today).scales
  const ofRole = (role: string) => parts.filter((part) => part.role === role)
  return ofRole('cpu').flatMap((cpu) =>
    ofRole('graphics').flatMap((card) =>
      measuredWatts(performance, machinePair([cpu, card])) === null ? [] : [pairName(cpu.id, card.id)],
    ),
  )
}

function energyTerms(world: World, view: BuildView): OwnBudget['energy'] {
  const { scales } = buildReading(world, view.id, view.today)
  const build = buildRow(world, view.id)
  const { supplyRule, fullHours, idleHours, tariff } = machineRules(scales.market, build, view.today)
  return {
    rule: supplyRule,
    year: fitBriefOf(scales.market, build, view.today).year,
    power: scales.market.assumptions.power,
    fullHours,
    idleHours,
    tariff,
    years: view.weighing.terms.years,
  }
}
