import { powerSheet, type PowerUse } from '../machine/power/powerSheet'
import { yearlyEnergyCost } from '../machine/power/wallDraw'
import type { Part } from '../parts/part'
import type { PlanCostly } from './problem'

/** What a machine may take to own, as it is weighed: beside what it takes to buy. Minor units. */
export interface OwnBudget {
  /** Machine it is weighed against: whoever carries a plan out says what both take. */
  readonly rivalId: string
  /** What the plan may add at most. */
  readonly most: number
  /** The least that each way adds: for itself, and for each part of it that is kept. */
  readonly ways: Readonly<Record<string, OwnLeast>>
  /** How energy is counted; null where it is not. */
  readonly energy: (PowerUse & { readonly years: number }) | null
}

export interface OwnLeast {
  readonly way: number
  readonly parts: Readonly<Record<string, number>>
  /** What of `parts` is energy. */
  readonly energy: Readonly<Record<string, number>>
}

/**
 * What CPU and card draw through this supply, beyond what their least says: a row for them with it, and with every
 * supply that does no better.
 */
export function costlyPairs(
  { own, parts }: { readonly own?: OwnBudget; readonly parts: readonly Part[] },
  kept: readonly Part[],
): PlanCostly[] {
  const [cpu, graphics, supply] = (['cpu', 'graphics', 'supply'] as const).map((role) =>
    kept.find((part) => part.role === role),
  )
  if (!own?.energy || !cpu || !graphics || !supply) return []
  const { energy, ways } = own
  const cost = (by: Part) => energyOf([cpu, graphics, by], energy)
  const here = cost(supply)
  if (here === null) return []
  const counted = Object.values(ways).reduce(
    (most, way) => ({
      cpu: Math.max(most.cpu, way.energy[cpu.id] ?? 0),
      graphics: Math.max(most.graphics, way.energy[graphics.id] ?? 0),
    }),
    { cpu: 0, graphics: 0 },
  )
  const more = here - counted.cpu - counted.graphics
  if (more <= 1) return []
  const alike = parts.filter((part) => part.role === 'supply' && (cost(part) ?? -1) >= here)
  return [
    { pair: `${cpu.id} ${graphics.id}`, parts: [cpu.id, graphics.id, ...alike.map(({ id }) => id)], more },
  ]
}

/** Energy of a machine over its years, minor units; null without a supply whose rating is known. */
function energyOf(
  parts: readonly Part[],
  { years, ...use }: NonNullable<OwnBudget['energy']>,
): number | null {
  const { wall } = powerSheet(parts, use)
  if (wall === null) return null
  const yearly =
    yearlyEnergyCost(wall.full, use.fullHours, use.tariff) +
    yearlyEnergyCost(wall.idle, use.idleHours, use.tariff)
  // each of the two yearly figures may have been rounded up by half a unit
  return (yearly - 1) * years
}
