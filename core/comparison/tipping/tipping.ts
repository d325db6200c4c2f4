import type { WeighingVerdict } from '../verdict/verdict'

/** Where the verdict turns when one figure moves from where it is. */
export interface TippingPoint {
  /** Nearest value below and above today's at which another side wins; null where none does within the range. */
  readonly below: { readonly value: number; readonly winner: WeighingVerdict['winner'] } | null
  readonly above: { readonly value: number; readonly winner: WeighingVerdict['winner'] } | null
}

const samples = 160
const halvings = 40

/**
 * Finds where the verdict turns by walking away from today's value in equal steps and halving the step in which the
 * winner changes. Turns closer together than a 160th of the range can be passed over.
 *
 * @param winnerAt verdict at a value; asked about 400 times
 */
export function tippingPoint(
  winnerAt: (value: number) => WeighingVerdict['winner'],
  now: number,
  range: { readonly from: number; readonly to: number },
): TippingPoint {
  return { below: towards(winnerAt, now, range.from), above: towards(winnerAt, now, range.to) }
}

function towards(
  winnerAt: (value: number) => WeighingVerdict['winner'],
  now: number,
  end: number,
): TippingPoint['below'] {
  const winner = winnerAt(now)
  let inside = now
  for (let step = 1; step <= samples; step += 1) {
    const next = now + ((end - now) * step) / samples
    if (next === inside) return null
    if (winnerAt(next) === winner) {
      inside = next
      continue
    }
    let [same, other] = [inside, next]
    for (let halving = 0; halving < halvings; halving += 1) {
      const middle = (same + other) / 2
      if (winnerAt(middle) === winner) same = middle
      else other = middle
    }
    return { value: other, winner: winnerAt(other) }
  }
  return null
}
