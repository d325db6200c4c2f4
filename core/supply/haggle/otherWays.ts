import { roundHalfAway } from '../../money/decimal'
import { isTakeable, type Way } from '../ways/way'

/** A thing wanted: how many, and what share of its worth is wanted of it. */
export interface WantedThing {
  readonly partId: string
  readonly quantity: number
  /** 1: whole; less where what is compared with it lacks something. */
  readonly share: number
}

/** What things take by other ways, expected, minor units; null where one of them has no way. */
export interface OtherWays {
  readonly amount: number
  /** The ways taken, each as often as it is. */
  readonly ways: readonly Way[]
}

/**
 * The cheapest other way to get things one by one, by expected cost, the risk of a hunt included. What there is one of
 * is taken once; what is hunted, or a shop sells, as often as it is wanted.
 *
 * @example two kits: one on the shelf and a hunt at 30.00 expected 31.20: 31.20
 */
export function otherWays(wanted: readonly WantedThing[], ways: readonly Way[]): OtherWays | null {
  const left = new Set(
    ways.filter(isTakeable).sort((a, b) => a.expected - b.expected || (a.id < b.id ? -1 : 1)),
  )
  const taken: Way[] = []
  let amount = 0
  for (const { partId, quantity, share } of wanted)
    for (let piece = 0; piece < quantity; piece += 1) {
      const way = [...left].find(({ part }) => part.id === partId)
      if (!way) return null
      if (way.kind !== 'hunt' && way.kind !== 'shop') left.delete(way)
      taken.push(way)
      amount += roundHalfAway(way.expected * share)
    }
  return { amount, ways: taken }
}
