/** An offer that stands with a seller. */
export interface OpenOffer {
  readonly id: string
  /** What it is worth to the builder, minor units; null where nobody knows. */
  readonly worth: number | null
}

export interface OfferCombination<Offer extends OpenOffer> {
  readonly offers: readonly Offer[]
  /** What they take together, and what is left of the budget then; minor units. */
  readonly cost: number
  readonly left: number
  /** What they are worth together; null where one is not known. */
  readonly worth: number | null
}

/** What a build comes to with some offers accepted; `payNow` null where they do not go together, or a price is not known. */
export interface Accepted {
  readonly left: number
  readonly payNow: number | null
}

/** More offers than that standing at once are too many to look through: 63 combinations. */
export const mostOpenOffers = 6
/** So many combinations are shown. */
const mostShown = 6

/**
 * Every combination of open offers that a budget can bear, with what is left: worth most first, what is not known last,
 * then cheapest. The empty one is not listed. Of more than `mostOpenOffers` the first are kept.
 *
 * @param accepted what the build comes to with these offers accepted, by who answers for its receipt; null: not possible
 */
export function affordableCombinations<Offer extends OpenOffer>(
  offers: readonly Offer[],
  accepted: (offers: readonly Offer[]) => Accepted | null,
): OfferCombination<Offer>[] {
  const considered = offers.slice(0, mostOpenOffers)
  const combinations: OfferCombination<Offer>[] = []
  for (let mask = 1; mask < 2 ** considered.length; mask += 1) {
    const chosen = considered.filter((_, index) => (mask & (1 << index)) !== 0)
    const then = accepted(chosen)
    if (!then || then.payNow === null || then.left < 0) continue
    const worth = chosen.reduce<number | null>(
      (sum, each) => (sum === null || each.worth === null ? null : sum + each.worth),
      0,
    )
    combinations.push({ offers: chosen, cost: then.payNow, left: then.left, worth })
  }
  return combinations.sort((a, b) => (b.worth ?? -1) - (a.worth ?? -1) || a.cost - b.cost).slice(0, mostShown)
}
