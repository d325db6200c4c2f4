/** An offer that stands with a seller; minor units of one currency. */
export interface OpenOffer {
  readonly id: string
  /** What it costs if it is accepted, landed. */
  readonly cost: number
  /** What it is worth to the builder. */
  readonly worth: number
}

export interface OfferCombination {
  readonly ids: readonly string[]
  readonly cost: number
  readonly left: number
  readonly worth: number
}

/** More offers than that standing at once are too many to list; 4 096 combinations. */
export const mostOpenOffers = 12

/**
 * Every combination of open offers that one budget can bear, with what is left: worth most first, then cheapest. The
 * empty one is not listed. Offers past the twelfth are left out, the cheapest are kept.
 */
export function affordableCombinations(offers: readonly OpenOffer[], budget: number): OfferCombination[] {
  const considered = [...offers]
    .sort((a, b) => a.cost - b.cost || (a.id < b.id ? -1 : 1))
    .slice(0, mostOpenOffers)
  const combinations: OfferCombination[] = []
  for (let mask = 1; mask < 2 ** considered.length; mask += 1) {
    const chosen = considered.filter((_, index) => (mask & (1 << index)) !== 0)
    const cost = chosen.reduce((sum, offer) => sum + offer.cost, 0)
    if (cost <= budget)
      combinations.push({
        ids: chosen.map((offer) => offer.id),
        cost,
        left: budget - cost,
        worth: chosen.reduce((sum, offer) => sum + offer.worth, 0),
      })
  }
  return combinations.sort(
    (a, b) => b.worth - a.worth || a.cost - b.cost || (a.ids.join() < b.ids.join() ? -1 : 1),
  )
}
