/** A base machine (everything but the card) or a card, at what it costs today in minor units. */
export interface CapOption {
  readonly id: string
  readonly name: string
  readonly price: number
}

/** One way to split the money. */
export interface CapSplit<Base extends CapOption, Card extends CapOption> {
  readonly base: Base
  readonly card: Card
  /** What the pair needs beyond both, such as a supply strong enough. */
  readonly joint: number
  readonly total: number
  readonly left: number
  /** Smallest ratio to a target: 1 = the weakest target is just met. */
  readonly weakest: number
}

/**
 * What the cap buys: of all pairs of base and card within the cap, those by which the weakest target gains most. Ties
 * go to the cheaper pair, then to the ids, so that the answer does not depend on the order of the options. O(b · c).
 *
 * @param joint what a pair needs beyond both; null for a pair that cannot be put together
 * @param weakest ratio of the weakest target for a pair; −∞ or NaN for a pair that cannot be judged
 * @returns best first, none where nothing fits the cap; a pair beaten by a cheaper one on both counts is left out
 */
export function capSplits<Base extends CapOption, Card extends CapOption>(
  bases: readonly Base[],
  cards: readonly Card[],
  cap: number,
  {
    joint,
    weakest,
  }: {
    readonly joint: (base: Base, card: Card) => number | null
    readonly weakest: (base: Base, card: Card) => number
  },
): CapSplit<Base, Card>[] {
  const pairs: CapSplit<Base, Card>[] = []
  for (const base of bases) {
    for (const card of cards) {
      const more = joint(base, card)
      if (more === null) continue
      const total = base.price + card.price + more
      if (total > cap) continue
      const ratio = weakest(base, card)
      if (ratio > 0) pairs.push({ base, card, joint: more, total, left: cap - total, weakest: ratio })
    }
  }
  pairs.sort(
    (a, b) =>
      b.weakest - a.weakest ||
      a.total - b.total ||
      (`${a.base.id} ${a.card.id}` < `${b.base.id} ${b.card.id}` ? -1 : 1),
  )
  let cheapest = Infinity
  return pairs.filter((pair) => {
    if (pair.total >= cheapest) return false
    cheapest = pair.total
    return true
  })
}

/** The formula in words, for its working. */
export const capFormula =
  'for each CPU, the cheapest compatible board, memory (16 GB, two modules), SSD (480 ' +
  'GB), case and cooler; for each card, the cheapest PSU of at least 1.5 × the draw; ' +
  'of all pairs within the budget, the one whose weakest target comes closest to, or ' +
  'furthest above, 100 %'
