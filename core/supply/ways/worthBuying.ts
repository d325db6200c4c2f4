/** A part as a candidate for a role. Amounts in minor units of one currency. */
export interface Candidate {
  readonly id: string
  readonly name: string
  /** Performance index, relative to 100. */
  readonly index: number
  /** What it costs the builder: street price, or bought new where that is the only way. */
  readonly price: number
  /** Frames it brings in the brief's targets, as the smallest ratio to a target; null where that cannot be said. */
  readonly targetRatio: number | null
}

/** A tread of the staircase: a candidate that nothing beats on both price and worth. */
export interface Step {
  readonly id: string
  readonly price: number
  readonly index: number
  readonly targetRatio: number | null
  /** From the step below: money added, and what it brings; null on the first. */
  readonly added: {
    readonly money: number
    readonly indexPercent: number
    readonly targetPercent: number | null
    readonly perPercent: number | null
  } | null
  /** More than every target needs, and so is some cheaper step. */
  readonly surplus: boolean
}

export interface WorthBuying {
  /** Cheapest first. */
  readonly steps: readonly Step[]
  /** Left out of the staircase: who beats whom. */
  readonly beaten: readonly { readonly id: string; readonly by: string }[]
  /** Per candidate: money for one index point, in minor units. */
  readonly perPoint: ReadonlyMap<string, number>
}

/**
 * The staircase of a role, docs/formulas.md (Steps up): by price; whoever costs no less and brings no more than
 * another is beaten and left out (level on both: the first by id stands). Worth is the ratio in the brief's targets
 * where every candidate has one, else the index. A step is *surplus* where a cheaper one already meets every target.
 *
 * @throws nothing; candidates of no price are to be left out by the caller
 */
export function worthBuying(candidates: readonly Candidate[]): WorthBuying {
  const byTargets = candidates.every((each) => each.targetRatio !== null)
  const worth = (each: Candidate) => (byTargets ? each.targetRatio! : each.index)
  const sorted = [...candidates].sort(
    (a, b) => a.price - b.price || worth(b) - worth(a) || b.index - a.index || (a.id < b.id ? -1 : 1),
  )
  const standing: Candidate[] = []
  const beaten: { id: string; by: string }[] = []
  for (const each of sorted) {
    const best = standing.at(-1)
    // level in the targets, the index decides: head-room is worth a tread of its own, and is marked as surplus
    if (best && (worth(each) < worth(best) || (worth(each) === worth(best) && each.index <= best.index)))
      beaten.push({ id: each.id, by: best.id })
    else standing.push(each)
  }
  const steps = standing.map((each, position): Step => {
    const below = standing[position - 1]
    const money = below ? each.price - below.price : 0
    const targetPercent =
      below && each.targetRatio !== null && below.targetRatio
        ? 100 * (each.targetRatio / below.targetRatio - 1)
        : null
    const indexPercent = below ? 100 * (each.index / below.index - 1) : 0
    const gained = targetPercent ?? indexPercent
    return {
      id: each.id,
      price: each.price,
      index: each.index,
      targetRatio: each.targetRatio,
      added: below
        ? { money, indexPercent, targetPercent, perPercent: gained > 0 ? money / gained : null }
        : null,
      surplus: standing
        .slice(0, position)
        .some((cheaper) => cheaper.targetRatio !== null && cheaper.targetRatio >= 1),
    }
  })
  return {
    steps,
    beaten,
    perPoint: new Map(
      candidates.map((each) => [each.id, each.index > 0 ? each.price / each.index : Infinity]),
    ),
  }
}

/** The best index for each price limit: a candidate at or below it, or null. Limits in minor units. */
export function bestAtEach(
  candidates: readonly Candidate[],
  limits: readonly number[],
): { readonly limit: number; readonly id: string | null }[] {
  return limits.map((limit) => {
    const within = candidates
      .filter((each) => each.price <= limit)
      .sort((a, b) => b.index - a.index || a.price - b.price)
    return { limit, id: within[0]?.id ?? null }
  })
}
