import { percentOf } from '../money/decimal'
import { needNames, type Need } from '../parts/part'
import type { NeedPrices, WeighedMachine } from './machine'

/** One step of the waterfall from sticker to comparable cost. */
export interface LikeForLikeStep {
  readonly id: string
  readonly label: string
  /** Minor units; positive makes the machine dearer. */
  readonly amount: number
  readonly why: string
}

export interface LikeForLike {
  readonly steps: readonly LikeForLikeStep[]
  /** Sum of the steps. */
  readonly total: number
}

interface StepRule {
  readonly id: string
  readonly label: string
  amount(machine: WeighedMachine, needPrices: NeedPrices): { amount: number; why: string } | null
}

const fixedSteps: readonly StepRule[] = [
  { id: 'price', label: 'price', amount: (machine) => ({ amount: machine.price, why: machine.kind === 'build' ? 'what anyone can pay for its parts today' : 'as its seller asks' }) },
  {
    id: 'tax', label: 'tax',
    amount: (machine) => (machine.taxPercent === 0 ? null : { amount: percentOf(machine.price, machine.taxPercent), why: `${machine.taxPercent} % on the price` }),
  },
  { id: 'shipping', label: 'shipping', amount: (machine) => (machine.shipping === 0 ? null : { amount: machine.shipping, why: 'delivery to the counter' }) },
]

function needStep(need: Need): StepRule {
  return {
    id: need,
    label: needNames[need],
    amount: (machine, needPrices) => {
      const price = needPrices[need]
      if (price === undefined || machine.brings.includes(need)) return null
      return { amount: price, why: `the brief wants it, ${machine.name} does not bring it` }
    },
  }
}

/** Steps in the order of the waterfall: one line each. */
export function likeForLikeSteps(needPrices: NeedPrices): readonly StepRule[] {
  return [...fixedSteps, ...(Object.keys(needPrices) as Need[]).map(needStep)]
}

/**
 * Like-for-like cost of a machine: price + tax + shipping + what it lacks from the one list of the brief's needs.
 * The same list is held against every machine. The steps add up to the total exactly; a step can be switched off.
 */
export function likeForLike(machine: WeighedMachine, needPrices: NeedPrices, off: ReadonlySet<string> = new Set()): LikeForLike {
  const steps = likeForLikeSteps(needPrices).flatMap((rule) => {
    const step = off.has(rule.id) ? null : rule.amount(machine, needPrices)
    return step ? [{ id: rule.id, label: rule.label, ...step }] : []
  })
  return { steps, total: steps.reduce((sum, step) => sum + step.amount, 0) }
}
