import { energyOfPart, leastOfPart } from '../comparison/adjustments/leastOfPart'
import { enteredPrice, type EnteredBasis } from '../comparison/adjustments/enteredPrice'
import type { LikeForLike } from '../comparison/adjustments/likeForLike'
import { energy, energyOver } from '../comparison/adjustments/rules/energy'
import { faults } from '../comparison/adjustments/rules/faults'
import { price } from '../comparison/adjustments/rules/price'
import { valueLeft } from '../comparison/adjustments/rules/valueLeft'
import type { WeighedComponent, WeighingTerms } from '../comparison/weighedMachine'
import { powerSheet, type PowerUse } from '../machine/power/powerSheet'
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
  /** CPUs and cards of which a wall draw was measured together, as `pairName`: no estimate counts for them. */
  readonly measured: readonly string[]
}

interface OwnLeast {
  readonly way: number
  readonly parts: Readonly<Record<string, number>>
  /** What of `parts` is energy. */
  readonly energy: Readonly<Record<string, number>>
}

/** A way as a machine with it would be entered. Minor units. */
export interface EnteredWay {
  readonly isOwned: boolean
  readonly rebatesExpected: number
  /** What is paid for it at the least, in whatever order it lies. */
  readonly paid: number
  /** Expected to be dead on arrival, at the least. */
  readonly arrival: number
  readonly things: readonly {
    readonly part: Part
    readonly component: WeighedComponent
    /** The least that anybody pays for it; null where nobody knows. */
    readonly anyone: number | null
  }[]
}

export interface OwnTerms {
  readonly terms: WeighingTerms
  readonly basis: EnteredBasis
  /** Whether a step counts: not switched off, no figure of the builder's own in its place. */
  counts(step: string): boolean
  /** The rival, and what stands whatever is planned, on these terms. */
  readonly rival: LikeForLike
  readonly standing: LikeForLike
  readonly measured: OwnBudget['measured']
}

/** Names a CPU with a card. */
export const pairName = (cpuId: string, graphicsId: string): string => `${cpuId} ${graphicsId}`

/**
 * What a plan may add to what stands, and the least that each way adds: what it enters the scales at, repairs, energy at
 * the best efficiency, less what is left of it. Never more than the scales say of a machine with it.
 *
 * @example a rival of 900.00 to own beside what stands for 20.00: 880.00 at most; a card that anybody has for 130.00, of
 *   which 60.00 are left, with 15.00 of energy: 85.00, less a cent for roundings
 */
export function ownLeasts(
  ways: ReadonlyMap<string, EnteredWay>,
  own: OwnTerms,
): Pick<OwnBudget, 'most' | 'ways'> {
  const { rival, standing, counts, terms } = own
  const inMeasured = new Set(own.measured.flatMap((pair) => pair.split(' ')))
  const drawOf = (part: Part) =>
    counts(energy.id) && !inMeasured.has(part.id) ? energyOfPart(part, terms) : 0
  const all = [...ways.values()].flatMap(({ things }) => things.map(({ part }) => part))
  const mostDrawn = [...new Set(all.map(({ role }) => role))].reduce(
    (sum, role) => sum + Math.max(...all.filter((part) => part.role === role).map(drawOf)),
    0,
  )
  // what a board may bring along is taken for brought
  const wireless = counts('wireless') ? stepOf(standing, 'wireless') : 0
  const besides = ({ role, facts }: Part) => {
    if (role === 'motherboard') return facts.wireless ? 0 : wireless
    // what draws through a supply of unknown size is not known
    return role === 'supply' && facts.ratedW === undefined ? -mostDrawn : 0
  }
  return {
    most: rival.total - standing.total + wireless,
    ways: Object.fromEntries(
      [...ways].map(([id, way]) => {
        const enters = entersAt(way, own.basis)
        const parts = way.things.map(({ part, component }, at) => {
          // where nobody knows what it fetches, no value is left on either side
          const isUnknown =
            component.worthToday === null && terms.assumedWorth === null && counts(valueLeft.id)
          const lost = isUnknown ? -stepOf(rival, valueLeft.id) : 0
          const least = leastOfPart(part, component, enters.things[at]!, terms, (step) =>
            step === energy.id ? drawOf(part) > 0 : counts(step),
          )
          return [part.id, least - lost + besides(part)] as const
        })
        const whole = (counts(price.id) ? enters.way : 0) + (counts(faults.id) ? way.arrival : 0)
        return [
          id,
          {
            way: Math.floor(whole),
            parts: Object.fromEntries(parts),
            energy: Object.fromEntries(way.things.map(({ part }) => [part.id, drawOf(part)])),
          },
        ]
      }),
    ),
  }
}

/** What a way enters at: each thing at what anybody pays for it, else the whole at what is paid. */
function entersAt({ things, isOwned, rebatesExpected, paid }: EnteredWay, basis: EnteredBasis) {
  const byThing = basis === 'anyone' || isOwned
  const known = byThing && things.every(({ anyone }) => anyone !== null)
  const rebate = things.length === 1 ? rebatesExpected : 0
  return {
    things: things.map(({ anyone }) => (known ? anyone! - rebate : 0)),
    // of several things of which one has no price, those that stay may have one
    way:
      known || (byThing && things.length > 1)
        ? 0
        : enteredPrice({ isOwned, payNow: paid, rebatesExpected, anyoneCanPay: null }, basis),
  }
}

const stepOf = ({ steps }: LikeForLike, id: string) => steps.find((step) => step.id === id)?.amount ?? 0

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
  const pair = pairName(cpu.id, graphics.id)
  if (own.measured.includes(pair)) return []
  const { years, ...use } = own.energy
  const cost = (by: Part) => {
    const { wall } = powerSheet([cpu, graphics, by], use)
    // each of its two yearly figures may have been rounded up by half a unit
    return wall === null ? null : energyOver(wall, { ...use, years }) - years
  }
  const here = cost(supply)
  if (here === null) return []
  const counted = (id: string) => Math.max(0, ...Object.values(own.ways).map((way) => way.energy[id] ?? 0))
  const more = here - counted(cpu.id) - counted(graphics.id)
  if (more <= 1) return []
  const alike = parts.filter((part) => part.role === 'supply' && (cost(part) ?? -1) >= here)
  return [{ pair, parts: [cpu.id, graphics.id, ...alike.map(({ id }) => id)], more }]
}
