import { CoreError } from '#core/errors/coreError'
import { moneySize } from '#core/assumptions/moneySize'
import { partLabel, type Part } from '#core/parts/part'
import { countedFps, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { carryForward } from '#core/machine/upgrades/carryForward'
import type { BuildView } from '#shared/builds/views'
import type { CarryStep, CarryView } from '#shared/machine/views'
import type { Database } from '#server/db/client'
import { buildView } from '../builds/buildView'
import { machineRules } from '#server/context/fitBrief'
import { readStreetPrice, useMarket } from '#server/context/market'
import { pricedLibrary } from '#server/context/pricedLibrary'

interface Move {
  readonly partId: string
  /** CPU of the machine it moves to. */
  readonly cpuId: string
  readonly months: number
}

/** A card bought now that moves to the next machine: frames gained here and there, its price then, against waiting with it. */
export async function carryView(
  db: Database,
  buildId: string,
  { partId, cpuId, months }: Move,
  today: string,
): Promise<CarryView> {
  const [view, market] = await Promise.all([buildView(db, buildId, today), useMarket(db)])
  const [part, cpu] = [partId, cpuId].map((id) => market.library.find((each) => each.id === id))
  if (part?.role !== 'graphics')
    throw new CoreError('unknown-part', `"${partId}" is no graphics card of the library`, 'partId')
  if (cpu?.role !== 'cpu') throw new CoreError('unknown-part', `"${cpuId}" is no CPU of the library`, 'cpuId')
  const cards = pricedLibrary(market, view, today).filter((each) => each.part.role === 'graphics')
  const price = cards.find((each) => each.part.id === partId)?.price
  if (price === undefined) throw new CoreError('no-price', `${partLabel(part)} has no price today`, 'partId')
  const { trend } = readStreetPrice(market, partId, today, view.currency)
  // a trend that may be none is none
  const percentPer30Days = trend && trend.direction !== 'unclear' ? trend.percentPer30Days : 0
  const old = view.parts.find((each) => each.role === 'graphics')
  const next = (parts: readonly Part[]) => parts.map((each) => (each.role === 'cpu' ? cpu : each))
  const withCard = (parts: readonly Part[], card: Part) => [
    ...parts.filter((each) => each.role !== 'graphics'),
    card,
  ]
  const machines = [view.parts, next(view.parts)].map((parts) => ({ parts, frames: frames(view, parts) }))
  const gainOf = (card: Part): Gain => {
    const [now, after] = machines.map(({ parts, frames: before }) => {
      const then = frames(view, withCard(parts, card))
      return before === null || then === null ? 0 : then / before - 1
    }) as [number, number]
    return { now, after }
  }
  const { stepThreshold } = machineRules(market, view, today)
  // one percent of frames is worth what the threshold asks for it
  const perPercent = (10 * moneySize(view.currency)) / Math.max(0.1, stepThreshold)
  return {
    name: partLabel(part),
    next: partLabel(cpu),
    months,
    price,
    percentPer30Days,
    replaces: old ? partLabel(old) : null,
    stairs: stairsOf(cards, gainOf, old?.id ?? null),
    ...carryForward({
      price,
      percentPer30Days,
      months,
      framesNow: gainOf(part).now,
      framesAfter: gainOf(part).after,
      perPercent,
    }),
  }
}

interface Gain {
  readonly now: number
  readonly after: number
}

/** Cards by price, each that brings more than every cheaper one with one CPU or the other; the present one where it has a price. */
function stairsOf(
  cards: ReturnType<typeof pricedLibrary>,
  gainOf: (card: Part) => Gain,
  presentId: string | null,
): CarryStep[] {
  const best = { now: -Infinity, after: -Infinity }
  return cards
    .filter(({ part }) => part.facts.graphicsIndex !== undefined)
    .sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))
    .flatMap(({ part, price }): CarryStep[] => {
      const { now, after } = gainOf(part)
      const isChosen = part.id === presentId
      const isStep = now > best.now + 0.01 || after > best.after + 0.01
      best.now = Math.max(best.now, now)
      best.after = Math.max(best.after, after)
      return isStep || isChosen
        ? [{ partId: part.id, name: partLabel(part), price, framesNow: now, framesAfter: after, isChosen }]
        : []
    })
    .filter(({ framesAfter, framesNow, isChosen }) => isChosen || framesAfter > -0.3 || framesNow > -0.3)
}

/** Geometric mean of the frames in the build's targets; null where they are not known. */
export function frames(view: BuildView, parts: readonly Part[]): number | null {
  const { machine } = frameMachineOf(parts)
  if (!machine || view.targets.length === 0) return null
  const logs = view.targets.map((target) =>
    Math.log(
      countedFps(
        estimateFrameRate(
          view.workloads.find((each) => each.id === target.workloadId)!,
          machine,
          target,
        ),
      ),
    ),
  )
  return Math.exp(logs.reduce((sum, each) => sum + each, 0) / logs.length)
}
