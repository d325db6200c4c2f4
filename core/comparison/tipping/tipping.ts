import type { WeighingVerdict } from '../verdict/verdict'

/** Where the verdict turns when one figure moves from where it is. */
export interface TippingPoint {
  /**
   * Nearest value below and above today's at which another side wins, in whole units: one unit nearer to today the
   * verdict is still as it is. Null where none does within the range.
   */
  readonly below: { readonly value: number; readonly winner: WeighingVerdict['winner'] } | null
  readonly above: { readonly value: number; readonly winner: WeighingVerdict['winner'] } | null
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
 * not. Turns closer together than a 160th of the range can be passed over.
 *
 * @param winnerAt verdict at a value; asked about 350 times
 * @example own wins up to 12 345: from 10 000 on, in units of 1, above 12 346
 */
export function tippingPoint(
  winnerAt: (value: number) => WeighingVerdict['winner'],
  { now, range, unit }: TippingFigure,
): TippingPoint {
  const winner = winnerAt(now)
  const at = (count: number) => winnerAt(valueOf(count, unit))
  const towards = (end: number, nearest: number): TippingPoint['below'] => {
    const step = Math.sign(end - nearest)
    if (step === 0 && at(nearest) === winner) return null
    let inside: number | null = null
    for (let sample = 0; sample <= samples; sample += 1) {
      const next = nearest + Math.round(((end - nearest) * sample) / samples)
      if (at(next) === winner) {
        inside = next
        continue
      }
      let [same, other] = [inside ?? next - step, next]
      while (Math.abs(other - same) > 1) {
        const middle = same + Math.trunc((other - same) / 2)
        if (at(middle) === winner) same = middle
        else other = middle
      }
      return { value: valueOf(other, unit), winner: at(other) }
    }
    return null
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
