import type { WeighedMachine, WeighingTerms } from '../weighedMachine'
import { likeForLikeSteps, outlaySteps } from './adjustments'
import { price } from './rules/price'
import type { StepSource } from './adjustment'

/** One step of the waterfall from sticker to comparable cost. */
export interface LikeForLikeStep {
  readonly id: string
  readonly label: string
  /** Minor units; positive makes the machine dearer. Zero where it is switched off. */
  readonly amount: number
  readonly why: string
  readonly from: StepSource
  readonly isOff: boolean
  /** What it would be without the builder's own figure; null where there is none. */
  readonly calculated: number | null
}

export interface LikeForLike {
  readonly steps: readonly LikeForLikeStep[]
  /** Sum of the steps. */
  readonly total: number
  /** Sum of what is paid before it is used. */
  readonly outlay: number
}

/**
 * Like-for-like cost of a machine, docs/formulas.md (Like for like): every step of the registry, the same for each
 * machine. The steps add up to the total exactly; one that is switched off counts nothing and comes back as it was;
 * the builder's own figure takes the place of what was calculated, also where nothing was.
 */
export function likeForLike(asked: WeighedMachine, terms: WeighingTerms): LikeForLike {
  const own = terms.edits[asked.id] ?? {}
  // a price of the builder's own is its price: tax and faults are on that
  const machine = own.price === undefined ? asked : { ...asked, price: own.price }
  const steps = likeForLikeSteps.flatMap((rule): LikeForLikeStep[] => {
    const calculated = rule.amount(machine, terms)
    const edited = own[rule.id]
    if (calculated === null && edited === undefined) return []
    const isOff = terms.off.includes(rule.id)
    const amount = edited ?? calculated!.amount
    return [
      {
        id: rule.id,
        label: rule.label,
        amount: isOff ? 0 : amount,
        isOff,
        calculated:
          edited === undefined ? null : rule.id === price.id ? asked.price : (calculated?.amount ?? 0),
        why: edited === undefined ? calculated!.why : 'your figure',
        from: edited === undefined ? calculated!.from : 'own',
      },
    ]
  })
  const sum = (of: readonly LikeForLikeStep[]) => of.reduce((total, step) => total + step.amount, 0)
  return { steps, total: sum(steps), outlay: sum(steps.filter((step) => outlaySteps.has(step.id))) }
}

/**
 * The gap of two machines step by step: what the other is dearer by, how that adds up, and that in percent of what the
 * own machine has come to; null while that is nothing.
 */
export function gapByStep(
  own: LikeForLike,
  other: LikeForLike,
): {
  readonly id: string
  readonly label: string
  readonly gap: number
  readonly soFar: number
  readonly percent: number | null
}[] {
  const ids = likeForLikeSteps
    .map((rule) => rule.id)
    .filter((id) => [own, other].some((cost) => cost.steps.some((step) => step.id === id)))
  let [soFar, ownSoFar] = [0, 0]
  return ids.map((id) => {
    const at = (cost: LikeForLike) => cost.steps.find((step) => step.id === id)
    const gap = (at(other)?.amount ?? 0) - (at(own)?.amount ?? 0)
    soFar += gap
    ownSoFar += at(own)?.amount ?? 0
    return {
      id,
      label: (at(own) ?? at(other))!.label,
      gap,
      soFar,
      percent: ownSoFar === 0 ? null : (100 * soFar) / Math.abs(ownSoFar),
    }
  })
}
