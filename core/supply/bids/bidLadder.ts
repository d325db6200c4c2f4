/** An auction of the thing wanted. Amounts in minor units, with all that comes on top of the price. */
export interface Auction {
  readonly id: string
  /** Days from today on which it ends. */
  readonly endsIn: number
  /** What it would cost at the price it stands at: it can only rise. */
  readonly least: number
  /** What comes on top of what others pay: risk, and shipping beyond theirs. */
  readonly besides: number
}

export interface BidQuestion {
  readonly auctions: readonly Auction[]
  /** What such things went for, and how much each sale weighs. */
  readonly prices: ArrayLike<number>
  readonly weights: ArrayLike<number>
  /** What the thing costs otherwise, once all auctions are lost. */
  readonly otherwise: number
  /** What a day of waiting costs. */
  readonly perDay: number
}

/** One auction with the most to bid on it. */
export interface BidRung {
  readonly id: string
  readonly endsIn: number
  /** The most that it may cost in the end, all on top included. */
  readonly most: number
  /** Chance that nobody else pays more. */
  readonly chance: number
  /** What getting one is expected to cost from here on, this auction included. */
  readonly expected: number
}

export interface BidLadder {
  /** In the order in which they end. */
  readonly rungs: readonly BidRung[]
  /** What one is expected to cost by bidding so; `otherwise` where there is no auction. */
  readonly expected: number
  /** Chance that one of them is won. */
  readonly chance: number
}

/**
 * Auctions that end one after another: the most to bid on each, knowing the later ones. Whoever bids their most pays
 * what the second most would have paid, so the most is what getting one is expected to cost if this auction is lost,
 * waiting included (backward induction from the last). What others pay is drawn from the street, never below what the
 * auction stands at; auctions are taken to be independent, those of one day in the order of their ids.
 *
 * @example two auctions, others pay 80.00 or 120.00 with equal chance, 110.00 otherwise: at most 110.00 on the last,
 * expected 95.00; so at most 95.00 on the first, expected 87.50
 */
export function bidLadder({ auctions, prices, weights, otherwise, perDay }: BidQuestion): BidLadder {
  const sorted = [...auctions].sort((a, b) => a.endsIn - b.endsIn || (a.id < b.id ? -1 : 1))
  const rungs: BidRung[] = []
  let later = otherwise
  let lost = 1
  for (let at = sorted.length - 1; at >= 0; at -= 1) {
    const { id, endsIn, least, besides } = sorted[at]!
    const wait = at + 1 < sorted.length ? perDay * (sorted[at + 1]!.endsIn - endsIn) : 0
    const most = later + wait
    const outcome = outcomeOf({ prices, weights }, { least, besides, most })
    rungs.unshift({ id, endsIn, most: Math.floor(most), ...outcome })
    later = outcome.expected
    lost *= 1 - outcome.chance
  }
  return { rungs, expected: later, chance: sorted.length === 0 ? 0 : 1 - lost }
}

/** Chance of winning at a most, and what is then expected to be paid, or lost to the later ones. */
function outcomeOf(
  { prices, weights }: Pick<BidQuestion, 'prices' | 'weights'>,
  { least, besides, most }: { least: number; besides: number; most: number },
): Pick<BidRung, 'chance' | 'expected'> {
  let [total, won, sum] = [0, 0, 0]
  for (let at = 0; at < prices.length; at += 1) {
    const cost = prices[at]! + besides
    // it stands higher already: others have shown that they pay more
    if (cost < least) continue
    const weight = weights[at]!
    total += weight
    if (cost <= most) won += weight
    sum += weight * Math.min(cost, most)
  }
  // dearer than anything that was ever sold: it goes for what it stands at
  if (total === 0) return { chance: least <= most ? 1 : 0, expected: Math.min(least, most) }
  return { chance: won / total, expected: sum / total }
}
