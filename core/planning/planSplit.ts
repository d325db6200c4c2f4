import type { Part } from '../parts/part'
import type { BuildQuestion, BuildWay } from './buildQuestion'
import type { BuildPlan } from './planBuild'

/** Where the money of a plan goes, minor units. */
export interface PlanSplit {
  /** All but the card and the supply: what a card is plugged into. */
  readonly platform: number
  readonly card: number
  readonly supply: number
  /** What stays of what was asked for; null where no sum was. */
  readonly left: number | null
}

/**
 * Where the money of a plan goes. A way of several things goes whole to the platform, unless a card or a supply is all
 * that is kept of it.
 *
 * @example of 400.00: CPU and board as a lot for 120.00, memory, drive and case for 80.00, a card for 130.00, a supply
 *   for 50.00: platform 200.00, card 130.00, supply 50.00, 20.00 left
 */
export function planSplit({ wishes }: Pick<BuildQuestion, 'wishes'>, plan: SplitPlan): PlanSplit {
  const payFor = (isIt: (way: BuildWay) => boolean) =>
    plan.ways.filter(isIt).reduce((sum, { payNow }) => sum + payNow, 0)
  const isOnly = (role: Part['role']) => (way: BuildWay) => {
    const kept = plan.kept.filter(({ wayId }) => wayId === way.id)
    return kept.length > 0 && kept.every(({ part }) => part.role === role)
  }
  const [isCard, isSupply] = [isOnly('graphics'), isOnly('supply')]
  return {
    platform: payFor((way) => !isCard(way) && !isSupply(way)),
    card: payFor(isCard),
    supply: payFor(isSupply),
    left: wishes.budget === null || plan.outOfPocket === null ? null : wishes.budget - plan.outOfPocket,
  }
}
type SplitPlan = Pick<BuildPlan, 'kept' | 'outOfPocket'> & { readonly ways: readonly BuildWay[] }

/** What a plan takes out of the build, and what it brings in. */
export function planChange(
  { ways }: Pick<BuildQuestion, 'ways'>,
  plan: Pick<BuildPlan, 'ways'>,
): { readonly out: readonly BuildWay[]; readonly into: readonly BuildWay[] } {
  const stays = new Set(plan.ways.map(({ id }) => id))
  return {
    out: ways.filter(({ id, isPresent }) => isPresent && !stays.has(id)),
    into: plan.ways.filter(({ isPresent }) => !isPresent),
  }
}
