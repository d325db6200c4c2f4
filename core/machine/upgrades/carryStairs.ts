import type { Part } from '../../parts/part'
import type { PricedPart } from './pricedPart'

/** Share of frames that a card gains in the machine as it is, and in the one it moves to. */
export interface CardGain {
  readonly now: number
  readonly after: number
}

export interface CardStep extends CardGain {
  readonly card: PricedPart
  readonly isChosen: boolean
}

/** A card is a step where it brings this share more frames than every cheaper one. */
const leastStep = 0.01
/** One that loses this share in both machines is nobody's step. */
const mostLost = 0.3

/**
 * Cards by price, each that brings more than every cheaper one with one CPU or the other; the present one among them
 * where it has a price. A card whose frames are not known is no step.
 *
 * @example a card for 100.00 with +10 % and one for 120.00 with +10 %: only the first is a step
 */
export function carryStairs(
  cards: readonly PricedPart[],
  gainOf: (card: Part) => CardGain | null,
  presentId: string | null,
): CardStep[] {
  const best = { now: -Infinity, after: -Infinity }
  return cards
    .filter(({ part }) => part.facts.graphicsIndex !== undefined)
    .sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))
    .flatMap((card): CardStep[] => {
      const gain = gainOf(card.part)
      if (gain === null) return []
      const isChosen = card.part.id === presentId
      const isStep = gain.now > best.now + leastStep || gain.after > best.after + leastStep
      best.now = Math.max(best.now, gain.now)
      best.after = Math.max(best.after, gain.after)
      return isStep || isChosen ? [{ card, ...gain, isChosen }] : []
    })
    .filter(({ now, after, isChosen }) => isChosen || now > -mostLost || after > -mostLost)
}
