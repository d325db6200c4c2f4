import { CoreError } from '#core/errors/coreError'
import { moneySize } from '#core/assumptions/moneySize'
import { partLabel, type Part } from '#core/parts/part'
import { framesGained, meanFrames } from '#core/performance/model/meanFrames'
import { carryForward, worthOfPercent } from '#core/machine/upgrades/carryForward'
import { carryStairs, type CardGain } from '#core/machine/upgrades/carryStairs'
import type { BuildView } from '#shared/builds/views'
import type { CarryView } from '#shared/machine/views'
import type { Database } from '#server/db/client'
import { buildView } from '../builds/buildView'
import { machineRules } from '#server/context/fitBrief'
import { readStreetPrice, useMarket } from '#server/context/market'
import { partsAtTheirWays, suggestedWays } from '#server/context/waysToGet'

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
  if (part?.role !== 'graphics') throw new CoreError('unknown-card', { id: partId }, 'partId')
  if (cpu?.role !== 'cpu') throw new CoreError('unknown-cpu', { id: cpuId }, 'cpuId')
  const cards = partsAtTheirWays(await suggestedWays(db, view, view)).filter(
    (each) => each.part.role === 'graphics',
  )
  const price = cards.find((each) => each.part.id === partId)?.price
  if (price === undefined) throw new CoreError('no-price-today', { part: partLabel(part) }, 'partId')
  const { trend } = readStreetPrice(market, partId, today, view.currency)
  // a trend that may be none is none
  const percentPer30Days = trend && trend.direction !== 'unclear' ? trend.percentPer30Days : 0
  const old = view.parts.find((each) => each.role === 'graphics')
  const next = (parts: readonly Part[]) => parts.map((each) => (each.role === 'cpu' ? cpu : each))
  const withCard = (parts: readonly Part[], card: Part) => [
    ...parts.filter((each) => each.role !== 'graphics'),
    card,
  ]
  const machines = [view.parts, next(view.parts)].map((parts) => ({ parts, frames: framesOf(view, parts) }))
  const gainOf = (card: Part): CardGain | null => {
    const [now, after] = machines.map(({ parts, frames }) =>
      framesGained(frames, framesOf(view, withCard(parts, card))),
    ) as [number | null, number | null]
    return now === null || after === null ? null : { now, after }
  }
  const gain = gainOf(part)
  if (gain === null) throw new CoreError('unknown-frames', {}, 'partId')
  const { stepThreshold } = machineRules(market, view, today)
  const perPercent = worthOfPercent(stepThreshold, moneySize(view.currency))
  return {
    name: partLabel(part),
    next: partLabel(cpu),
    months,
    price,
    percentPer30Days,
    replaces: old ? partLabel(old) : null,
    stairs: carryStairs(cards, gainOf, old?.id ?? null).map(({ card, now, after, isChosen }) => ({
      partId: card.part.id,
      name: partLabel(card.part),
      price: card.price,
      framesNow: now,
      framesAfter: after,
      isChosen,
    })),
    ...carryForward({
      price,
      percentPer30Days,
      months,
      framesNow: gain.now,
      framesAfter: gain.after,
      perPercent,
    }),
  }
}

/** Frames of a machine in the build's targets. */
export const framesOf = (view: BuildView, parts: readonly Part[]): number | null =>
  meanFrames(parts, view.targets, view.workloads)
