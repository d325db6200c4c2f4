import { rateSettings } from '#core/performance/model/targetName'
import { roleNames } from '#core/parts/part'
import { geometricMean } from '#core/performance/runs/beforeAfter'
import { countedFps, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import type { FrameMachine } from '#core/performance/model/frameTime'
import { frameValue, type ValuedMachine } from '#core/performance/model/frameValue'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import { baseWishes, baseMachines, supplyFor } from '#core/machine/upgrades/baseMachines'
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { buildReading, type UnweighedBuild } from '#server/context/readBuild'
import { reading } from '#server/readings/reading'
import type { World } from '#server/readings/world'
import { buildPage } from '../builds/buildView'
import { pricedLibrary } from '#server/context/pricedLibrary'

const mostBuilds = 12

/** Geometric mean of frames over the targets of a build, for any machine; null where it cannot be known. */
function framesOf(view: BuildView, machine: FrameMachine | null): number | null {
  if (!machine || view.targets.length === 0) return null
  return geometricMean(
    view.targets.map((target) =>
      countedFps(
        estimateFrameRate(
          view.workloads.find((each) => each.id === target.workloadId)!,
          machine,
          target,
        ),
      ),
    ),
  )
}

/** Frames for money: this build, the others, its rivals, and what the library makes. */
export function frameValueOf(world: World, view: BuildView, today: string): BenchView['value'] {
  const alike = world.rows.builds
    .where('deletedAt', null)
    .filter(({ id }) => id !== view.id)
    .slice(0, mostBuilds)
    .filter(({ currency }) => currency === view.currency)
    .map(({ id }) => buildReading(world, id, today).view)
  const asMachine = (each: UnweighedBuild, cost: number): ValuedMachine[] => {
    const frames = framesOf(view, frameMachineOf(each.parts).machine)
    return frames === null || cost <= 0 || lacks(each) !== null
      ? []
      : [{ id: each.id, name: each.name, kind: 'build', cost, frames }]
  }
  const rivals = view.weighing.others.flatMap(({ machine }): ValuedMachine[] => {
    const rates = view.targets.map(
      (target) =>
        machine.rates.find(
          (rate) => rate.workloadId === target.workloadId && rate.settings === rateSettings(target),
        )?.averageFps,
    )
    // by its seller's terms, whatever is switched off on the scales
    const weighed = likeForLike(machine, { ...view.weighing.terms, off: [], edits: {} })
    const cost = weighed.steps
      .filter((step) => step.id === 'price' || step.id === 'tax' || step.id === 'shipping')
      .reduce((sum, step) => sum + step.amount, 0)
    const frames =
      rates.length > 0 && rates.every((rate) => rate !== undefined) ? geometricMean(rates as number[]) : null
    return frames === null ? [] : [{ id: machine.id, name: machine.name, kind: 'rival', cost, frames }]
  })
  const library = machinesOfLibrary(world, view.id, today)
  const staircase = (costOf: (each: UnweighedBuild) => number) =>
    shortStaircase(
      frameValue([
        ...[view, ...alike].flatMap((each) => asMachine(each, costOf(each))),
        ...rivals,
        ...library,
      ]),
    )
  return {
    anyone: staircase((each) => coreTotals(each).anyoneCanPay),
    paid: staircase((each) => coreTotals(each).payNow ?? 0),
    leftOut: [view, ...alike].flatMap((each) =>
      lacks(each) === null ? [] : [`${each.name} (${lacks(each)!})`],
    ),
  }
}

/** The machine alone: licence and peripherals are no part of what frames cost. */
function coreTotals({ receipt }: UnweighedBuild): BuildView['receipt']['totals'] {
  return receipt.byScope.find(({ scope }) => scope === 'core')!.totals
}

/** Why a build has no whole cost or no frames, in words; null where it has both. */
function lacks({ parts, emptyRoles, receipt }: UnweighedBuild): string | null {
  const { missing } = frameMachineOf(parts)
  if (missing.length > 0) return `still missing: ${missing.join(' and ')}`
  if (emptyRoles.length > 0) return `no ${emptyRoles.map((role) => roleNames[role]).join(', no ')} yet`
  return receipt.totals.unknownStreet > 0
    ? `${receipt.totals.unknownStreet} parts without a street price`
    : null
}

/** The same of a build, kept: they rest on its targets and on prices, not on what others choose. */
const machinesOfLibrary = reading('machines of the library', (world, buildId: string, today: string) => {
  const view = buildPage(world, buildId, today)
  const own = framesOf(view, frameMachineOf(view.parts).machine) ?? 0
  return libraryMachines(view, marketOf(world), today, own)
})

/** Whole machines from the library at street prices: a base around each CPU, a card, a supply strong enough. */
function libraryMachines(view: BuildView, market: Market, today: string, own: number): ValuedMachine[] {
  const priced = pricedLibrary(market, view, today)
  const supplies = priced.filter(({ part }) => part.role === 'supply')
  const cards = priced.filter(
    ({ part }) => part.role === 'graphics' && part.facts.graphicsIndex !== undefined,
  )
  const wishes = { ...baseWishes, power: market.assumptions.power }
  return baseMachines(priced, wishes).flatMap((base) =>
    cards.flatMap(({ part, price }): ValuedMachine[] => {
      const frames = framesOf(view, frameMachineOf([...base.parts.map((each) => each.part), part]).machine)
      // machines half as fast as this one are no choice beside it
      if (frames === null || frames < own / 2) return []
      const supply = supplyFor(supplies, base.cpu, part, wishes)
      return supply === null
        ? []
        : [
            {
              id: `${base.id} + ${part.id}`,
              name: `${base.name} with ${part.name}`,
              kind: 'library',
              cost: base.price + price + supply.price,
              frames,
            },
          ]
    }),
  )
}

/** Every build and rival, and of the library's machines those that are treads. */
function shortStaircase(steps: ReturnType<typeof frameValue>): ReturnType<typeof frameValue> {
  return steps.filter((step) => step.kind !== 'library' || step.beatenBy === null)
}
