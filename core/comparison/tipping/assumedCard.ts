import { estimateFrameRate } from '../../performance/model/estimateFrameRate'
import type { FrameMachine } from '../../performance/model/frameTime'
import { judgeTarget, type RateTarget } from '../../performance/model/judgeTarget'
import type { FrameSettings, Workload } from '../../performance/model/workload'
import { usedWorth } from '../adjustments/keptValue'
import { rateSettings } from '../../performance/model/targetName'
import type { WeighedMachine } from '../weighedMachine'

/** A card that is not sold yet, or at another price: what is assumed of it. */
export interface AssumedCard {
  readonly name: string
  /** Minor units. */
  readonly price: number
  readonly graphicsIndex: number
  readonly videoMemoryGb: number
  readonly boardPowerW: number
}

export interface TargetAt extends RateTarget {
  readonly name: string
  readonly workload: Workload
  readonly settings: FrameSettings
}

/**
 * A build with an assumed card in the place of its own: price, frames, draw and value left follow. The card fetches what a
 * thing bought new falls to; its board power over that of the old one comes on top of the wall draw one to one.
 *
 * @param cardNow what the present card costs, minor units; 0 where there is none
 */
export function withAssumedCard(
  own: WeighedMachine,
  frames: FrameMachine,
  card: AssumedCard,
  cardNow: number,
  targets: readonly TargetAt[],
): { readonly machine: WeighedMachine; readonly frames: FrameMachine } {
  const after: FrameMachine = {
    ...frames,
    graphicsIndex: card.graphicsIndex,
    videoMemoryGb: card.videoMemoryGb,
  }
  const old = own.components.find((each) => each.role === 'graphics')
  const estimates = targets.map(({ workload, settings, ...target }) => {
    const estimate = estimateFrameRate(workload, after, settings)
    return {
      target,
      estimate,
      rate: {
        workloadId: workload.id,
        settings: rateSettings(settings),
        averageFps: estimate.averageFps,
        lowFps: estimate.lowFps,
        kind: 'estimate' as const,
        range: estimate.range,
      },
    }
  })
  const more = card.boardPowerW - (old?.facts.boardPowerW ?? card.boardPowerW)
  return {
    frames: after,
    machine: {
      ...own,
      price: own.price - cardNow + card.price,
      rates: estimates.map((each) => each.rate),
      targets: estimates.map(({ target, estimate }) => ({
        name: target.name,
        verdict: judgeTarget(estimate, target),
      })),
      watts: own.watts && { ...own.watts, full: own.watts.full + more, kind: 'estimate' },
      components: [
        ...own.components.filter((each) => each.role !== 'graphics'),
        {
          role: 'graphics',
          label: card.name,
          partId: null,
          state: 'stated',
          facts: {
            graphicsIndex: card.graphicsIndex,
            vramGb: card.videoMemoryGb,
            boardPowerW: card.boardPowerW,
          },
          condition: 'new',
          street: card.price,
          worthToday: usedWorth(null, card.price),
          counted: true,
          warrantyMonths: 24,
        },
      ],
    },
  }
}
