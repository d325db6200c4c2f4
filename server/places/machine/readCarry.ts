import { CoreError } from '#core/errors/coreError'
import { moneySize } from '#core/assumptions/moneySize'
import { partLabel, type Part } from '#core/parts/part'
import { countedFps, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { carryForward } from '#core/machine/upgrades/carryForward'
import type { CarryView } from '#shared/machine/views'
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
  const price = pricedLibrary(market, view, today).find((each) => each.part.id === partId)?.price
  if (price === undefined) throw new CoreError('no-price', `${partLabel(part)} has no price today`, 'partId')
  const { trend } = readStreetPrice(market, partId, today, view.currency)
  // a trend that may be none is none
  const percentPer30Days = trend && trend.direction !== 'unclear' ? trend.percentPer30Days : 0
  const old = view.parts.find((each) => each.role === 'graphics')
  const next = (parts: readonly Part[]) => parts.map((each) => (each.role === 'cpu' ? cpu : each))
  const withCard = (parts: readonly Part[]) => [...parts.filter((each) => each.role !== 'graphics'), part]
  const gain = (parts: readonly Part[]) => {
    const [before, after] = [frames(view, parts), frames(view, withCard(parts))]
    return before === null || after === null ? 0 : after / before - 1
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
    ...carryForward({
      price,
      percentPer30Days,
      months,
      framesNow: gain(view.parts),
      framesAfter: gain(next(view.parts)),
      perPercent,
    }),
  }
}

/** Geometric mean of the frames in the build's targets; null where they are not known. */
function frames(view: Awaited<ReturnType<typeof buildView>>, parts: readonly Part[]): number | null {
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
