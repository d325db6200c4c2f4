import { enteredPrice } from '#core/comparison/adjustments/enteredPrice'
import { energyOfPart, leastOfPart } from '#core/comparison/adjustments/leastOfPart'
import { energy } from '#core/comparison/adjustments/rules/energy'
import { price } from '#core/comparison/adjustments/rules/price'
import { valueLeft } from '#core/comparison/adjustments/rules/valueLeft'
import { likeForLike, type LikeForLike } from '#core/comparison/adjustments/likeForLike'
import type { Part } from '#core/parts/part'
import type { BuildQuestion, BuildWay } from '#core/planning/buildQuestion'
import { leastInOrder } from '#core/planning/leastInOrder'
import type { OwnBudget, OwnLeast } from '#core/planning/ownBudget'
import type { Condition } from '#core/reading/sales/soldRecord'
import type { Change } from '#core/whatif/change'
import { buildRow } from '#server/context/findBuild'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { streetAt } from '#server/context/market'
import { newOffers } from '#server/context/newOffers'
import { buildReading } from '#server/context/readBuild'
import { waysOf } from '#server/context/waysToGet'
import type { World } from '#server/readings/world'
import { changed } from '#server/whatif/whatIf'
import type { BuildView } from '#shared/builds/views'
import { buildPage } from '../builds/buildView'
import { goneChoices } from '../plan/planBasis'
import { componentOf, conditionIn, entered as enteredOf } from './weighedMachines'

/** A way as the scales would enter it. */
interface Entered {
  readonly condition: Condition
  readonly isOwned: boolean
  readonly rebatesExpected: number
  /** Of a way that brings one thing; of several each has its own. */
  readonly anyoneCanPay: number | null
  /** Expected to be dead on arrival at the least, minor units. */
  readonly arrival: number
}

/**
 * What a machine may take to own beside a rival, and the least that each way of a plan adds to that: what it enters the
 * scales at, repairs, energy at the best efficiency, less what is left of it. A public code that holds for several
 * things together is not looked into.
 */
export function ownBudget(
  world: World,
  view: BuildView,
  { ways, parts, orders }: BuildQuestion,
  rivalId: string,
): OwnBudget {
  const { today, currency } = view
  const { scales } = buildReading(world, view.id, today)
  const { market } = scales
  const build = buildRow(world, view.id)
  const removed = goneChoices(world, view, []).map((choice): Change => ({ kind: 'remove', choice }))
  const { own, others, terms, settings } = buildPage(
    changed(world, view.id, removed, today),
    view.id,
    today,
  ).weighing
  const beside = others.find(({ machine }) => machine.id === rivalId)!.machine
  // without a supply nobody knows what it draws; with one it is known, where it is of the rival
  const by = {
    ...terms,
    off: terms.off.filter(
      (step) => step !== energy.id || settings.off.includes(step) || beside.watts === null,
    ),
  }
  const rival = likeForLike(beside, by)
  const standing = likeForLike(own.machine, by)
  const partOf = new Map(parts.map((part) => [part.id, part]))
  const edited = terms.edits[build.id] ?? {}
  const counts = (step: string) => !by.off.includes(step) && edited[step] === undefined
  const entersAt = enteredWays(world, view)
  const paid = (way: BuildWay) => {
    const order = orders.find(({ source }) => source === way.source)
    return order && way.order ? leastInOrder(way.order, 0, order).price : way.payNow
  }
  /** The least that anybody pays for it, ordered with whatever else. */
  const anyones = (part: Part, isNew: boolean): number | null => {
    const barred = isNew || build.houseRules.neverUsed.includes(part.role)
    const used = barred ? null : streetAt(market, part.id, today, currency, build.houseRules.patience)
    const asks = newOffers(market, part.id, currency, today).map(({ itemWithTax }) => itemWithTax)
    return used === null && asks.length === 0 ? null : Math.min(used ?? Infinity, ...asks)
  }
  const most = new Map<string, number>()
  const leastOf = (way: BuildWay): OwnLeast => {
    const entry = entersAt.get(way.id)
    // what stays whatever is planned is there without it
    if (!entry) return { way: 0, parts: {}, energy: {} }
    const things = way.partIds.flatMap((id) => partOf.get(id) ?? [])
    const each = things.map((part) => anyones(part, entry.condition === 'new'))
    const ofThings = settings.basis === 'anyone' || entry.isOwned
    const byThing = ofThings && !each.includes(null)
    const whole =
      byThing || (ofThings && things.length > 1)
        ? 0
        : enteredPrice({ ...entry, anyoneCanPay: null, payNow: paid(way) }, settings.basis)
    const leasts = things.map((part, at) => {
      const component = componentOf(part, entry.condition, currency, scales, way.payNow)
      const enters = byThing ? each[at]! - (things.length === 1 ? entry.rebatesExpected : 0) : 0
      const draws = counts(energy.id) ? energyOfPart(part, terms) : 0
      most.set(part.role, Math.max(most.get(part.role) ?? 0, draws))
      // where nobody knows what it fetches, no value is left on either side
      const isUnknown = component.worthToday === null && terms.assumedWorth === null && counts(valueLeft.id)
      const lost = isUnknown ? -stepOf(rival, valueLeft.id) : 0
      return { id: part.id, draws, own: leastOfPart(part, component, enters, terms, counts) - lost }
    })
    return {
      way: Math.floor((counts(price.id) ? whole : 0) + (counts('faults') ? entry.arrival : 0)),
      parts: Object.fromEntries(leasts.map(({ id, own: least }) => [id, least])),
      energy: Object.fromEntries(leasts.map(({ id, draws }) => [id, draws])),
    }
  }
  const leasts = Object.fromEntries(ways.map((way) => [way.id, leastOf(way)]))
  const wireless = counts('wireless') ? stepOf(standing, 'wireless') : 0
  return {
    rivalId,
    // what a board may bring along is taken for brought
    most: rival.total - standing.total + wireless,
    ways: mapParts(leasts, (id) => {
      const { role, facts } = partOf.get(id) ?? { role: null, facts: {} }
      if (role === 'motherboard' && !facts.wireless) return wireless
      // what draws through a supply of unknown size is not known
      return role === 'supply' && facts.ratedW === undefined
        ? -[...most.values()].reduce((sum, watts) => sum + watts, 0)
        : 0
    }),
    energy: counts(energy.id) ? energyTerms(world, view) : null,
  }
}

const stepOf = ({ steps }: LikeForLike, id: string) => steps.find((step) => step.id === id)?.amount ?? 0

const mapParts = (ways: Readonly<Record<string, OwnLeast>>, more: (partId: string) => number) =>
  Object.fromEntries(
    Object.entries(ways).map(([id, way]) => [
      id,
      {
        ...way,
        parts: Object.fromEntries(
          Object.entries(way.parts).map(([part, least]) => [part, least + more(part)]),
        ),
      },
    ]),
  )

/** Ways that a plan decides about, as the scales would enter them. */
function enteredWays(world: World, view: BuildView): Map<string, Entered> {
  const build = buildRow(world, view.id)
  const gone = new Set(goneChoices(world, view, []))
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  return new Map([
    ...view.choices
      .filter(({ id }) => gone.has(id))
      .map((choice): [string, Entered] => {
        const { isOwned, rebatesExpected, anyoneCanPay } = enteredOf(choice)
        const condition = conditionIn(build, choice.roles[0]!, isOwned ? 'used' : choice.condition)
        return [`choice:${choice.id}`, { condition, isOwned, rebatesExpected, anyoneCanPay, arrival: 0 }]
      }),
    ...waysOf(world, view.id, view.today, chosen).map((way): [string, Entered] => {
      const rebatesExpected = way.payNow - way.afterRebates
      return [
        way.id,
        {
          condition: way.kind === 'item' ? 'used' : way.condition,
          isOwned: way.kind === 'item',
          rebatesExpected,
          anyoneCanPay: way.anyoneCanPay,
          arrival:
            way.kind === 'hunt' || way.kind === 'shop' ? Math.max(0, way.expected - way.payNow - 1) : 0,
        },
      ]
    }),
  ])
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
