import { checkFit, isNoWorse } from '../fit/checkFit'
import type { FitBrief } from '../fit/finding'
import type { Part } from '../../parts/part'
import type { StepOption } from './stepsUp'

/** A chosen part with what it costs, minor units; `fixed` where it is paid or owned and cannot be swapped. */
export interface Chosen {
  readonly id: string
  readonly part: Part
  readonly cost: number
  readonly fixed: boolean
}

export interface Swap {
  readonly choiceId: string
  readonly out: Part
  readonly option: StepOption
  readonly saved: number
  /** Share of the worth of the whole machine that is lost, 0 to 1. */
  readonly lost: number
}

export interface SlimmingContext {
  readonly chosen: readonly Chosen[]
  readonly options: readonly StepOption[]
  /** What must be saved, minor units. */
  readonly over: number
  readonly brief?: Partial<FitBrief>
  /** Worth of a machine, above zero: what the swaps should lose least of. */
  worth(parts: readonly Part[]): number
}

const mostSwaps = 6

/**
 * Over budget: the swaps that save most for the least worth lost, in order, until it fits; none that the fit check
 * minds. A swap that loses nothing goes first. Greedy: each swap is the best one after those before it. Ends with what
 * can be done where it is not enough.
 */
export function slimming({ chosen, options, over, brief, worth }: SlimmingContext): {
  readonly swaps: readonly Swap[]
  readonly stillOver: number
} {
  const swaps: Swap[] = []
  let current = [...chosen]
  let left = over
  while (left > 0 && swaps.length < mostSwaps) {
    const best = bestSwap(current, options, left, brief, worth)
    if (!best) break
    swaps.push(best)
    left -= best.saved
    current = current.map((each) =>
      each.id === best.choiceId
        ? { ...each, part: best.option.part, cost: best.option.price, fixed: true }
        : each,
    )
  }
  return { swaps, stillOver: Math.max(0, left) }
}

function bestSwap(
  chosen: readonly Chosen[],
  options: readonly StepOption[],
  wanted: number,
  brief: Partial<FitBrief> | undefined,
  worth: (parts: readonly Part[]) => number,
): Swap | null {
  const parts = chosen.map((each) => each.part)
  const before = checkFit({ parts, ...(brief ? { brief } : {}) })
  const worthBefore = worth(parts)
  const swaps = chosen
    .filter((each) => !each.fixed)
    .flatMap((each) =>
      options
        .filter(
          (option) =>
            option.part.role === each.part.role &&
            option.part.id !== each.part.id &&
            option.price < each.cost,
        )
        .map((option): Swap & { after: readonly Part[] } => {
          const after = chosen.map((other) => (other.id === each.id ? option.part : other.part))
          return {
            choiceId: each.id,
            out: each.part,
            option,
            saved: each.cost - option.price,
            lost: Math.max(0, 1 - worth(after) / worthBefore),
            after,
          }
        }),
    )
  // saving more than is wanted is no merit
  const merit = (swap: Swap) => Math.min(swap.saved, wanted) / (swap.lost + 0.002)
  const sorted = swaps
    .sort((a, b) => merit(b) - merit(a) || (a.option.id < b.option.id ? -1 : 1))
    .slice(0, 60)
  const found = sorted.find(({ after }) =>
    isNoWorse(checkFit({ parts: after, ...(brief ? { brief } : {}) }), before),
  )
  return found
    ? { choiceId: found.choiceId, out: found.out, option: found.option, saved: found.saved, lost: found.lost }
    : null
}
