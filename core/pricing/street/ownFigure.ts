/** Where the builder's own figure stands among the comps. */
export interface OwnFigureStanding {
  /** Comps below it, at it, and all of them. */
  readonly below: number
  readonly at: number
  readonly count: number
}

/** Counts the comps below and at a figure of the builder's own: "above 7 of 9 comps". */
export function standingOf(figure: number, prices: ArrayLike<number>): OwnFigureStanding {
  let below = 0
  let at = 0
  for (let i = 0; i < prices.length; i += 1) {
    if (prices[i]! < figure) below += 1
    else if (prices[i] === figure) at += 1
  }
  return { below, at, count: prices.length }
}
