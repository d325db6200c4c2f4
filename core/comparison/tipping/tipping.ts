import type { WeighingVerdict } from '../verdict/verdict'

/** Where another answer begins, in whole units: one unit nearer to today it does not hold yet. */
export interface Border {
  readonly value: number
  readonly winner: WeighingVerdict['winner']
}

/** Where the verdict turns when one figure moves from where it is. */
export interface TippingPoint {
  /** Nearest value below and above today's at which another side wins; null where none does within the range. */
  readonly below: Turn | null
  readonly above: Turn | null
}

/** A turn, and where farther from today the next answer begins; null where what it turns to holds to the end of the range. */
export interface Turn extends Border {
  readonly next: Border | null
}

const samples = 160

/** A figure that may turn a verdict: where it is, how far it is followed, and in what units it is told. */
export interface TippingFigure {
  readonly now: number
  readonly range: { readonly from: number; readonly to: number }
  /** Values tried are whole multiples of it: a minor unit of money, a tenth of an hour. */
  readonly unit: number
}

/**
 * Finds where the verdict turns by weighing again: away from today's value in equal steps, then halving the step in
 * which the winner changes down to one unit, so that a figure told as the turn does turn it, and one unit less does
 * not. From there it goes on in the same way: what it turns to may hold for ten cents only. A side that wins and loses
 * again within a 160th of the range can be passed over.
 *
 * @param winnerAt verdict at a value; asked about 500 times
 * @example own wins up to 12 345, level up to 12 399: from 10 000 on, in units of 1, above 12 346, next 12 400
 */
export function tippingPoint(
  winnerAt: (value: number) => WeighingVerdict['winner'],
  { now, range, unit }: TippingFigure,
): TippingPoint {
  const winner = winnerAt(now)
  const at = (count: number) => winnerAt(valueOf(count, unit))
  /** The first border on the way from a count, which answers `winner`, or from beside today's, to the end. */
  const borderFrom = (from: number, end: number, was: WeighingVerdict['winner']): number | null => {
    let same = from - Math.sign(end - from)
    for (let sample = 0; sample <= samples; sample += 1) {
      const next = from + Math.round(((end - from) * sample) / samples)
      if (at(next) === was) {
        same = next
        continue
      }
      let other = next
      while (Math.abs(other - same) > 1) {
        const middle = same + Math.trunc((other - same) / 2)
        if (at(middle) === was) same = middle
        else other = middle
      }
      return other
    }
    return null
  }
  const border = (count: number): Border => ({ value: valueOf(count, unit), winner: at(count) })
  const towards = (end: number, nearest: number): Turn | null => {
    const first = borderFrom(nearest, end, winner)
    if (first === null) return null
    const turned = border(first)
    const second = first === end ? null : borderFrom(first, end, turned.winner)
    return { ...turned, next: second === null ? null : border(second) }
  }
  // today's own value may lie between two units: the nearest on either side
  const count = now / unit
  const [low, high] = [Math.ceil(count - 1e-9) - 1, Math.floor(count + 1e-9) + 1]
  const [first, last] = [Math.ceil(range.from / unit - 1e-9), Math.floor(range.to / unit + 1e-9)]
  return {
    below: low < first ? null : towards(first, low),
    above: high > last ? null : towards(last, high),
  }
}

/** Without the remainders that a multiple of a tenth has. */
const valueOf = (count: number, unit: number) =>
  unit >= 1 ? count * unit : Math.round(count * unit * 1e6) / 1e6
