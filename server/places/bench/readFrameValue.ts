import { rateSettings } from '#core/performance/model/targetName'
import { roleNames } from '#core/parts/part'
import { geometricMean } from '#core/performance/runs/beforeAfter'
import { frameValue, type ValuedMachine } from '#core/performance/model/frameValue'
import { meanFrames } from '#core/performance/model/meanFrames'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { buildReading, type UnweighedBuild } from '#server/context/readBuild'
import type { World } from '#server/readings/world'

const mostBuilds = 12

/** Frames for money: this build, the others, and its rivals. What else the money buys is the plan's to say. */
export function frameValueOf(world: World, view: BuildView, today: string): BenchView['value'] {
  const alike = world.rows.builds
    .where('deletedAt', null)
    .filter(({ id }) => id !== view.id)
    .slice(0, mostBuilds)
    .filter(({ currency }) => currency === view.currency)
    .map(({ id }) => buildReading(world, id, today).view)
  const asMachine = (each: UnweighedBuild, cost: number): ValuedMachine[] => {
    const frames = meanFrames(each.parts, view.targets, view.workloads)
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
  const staircase = (costOf: (each: UnweighedBuild) => number) =>
    frameValue([...[view, ...alike].flatMap((each) => asMachine(each, costOf(each))), ...rivals])
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
