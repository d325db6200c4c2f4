import { medianSorted } from './medianSorted'

/** What outcomes say of a figure that was assumed, with its 90 % range. */
export interface Learnt {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly count: number
}

/** From so many outcomes on something is said; before, nothing. */
export const fewestOutcomes = 5
/** Weight of the prior of a chance: as if two had come and two had not. */
const prior = 2
const z90 = 1.645

/**
 * A chance by how often it came true: the mean of Beta(2 + came, 2 + missed), with 1.645 standard deviations to
 * either side, docs/formulas.md (What was foreseen). Null below five outcomes.
 *
 * @example learntShare(6, 7) // { value: 8 / 11, count: 7 }: (6 + 2) / (7 + 4)
 */
export function learntShare(came: number, count: number): Learnt | null {
  if (count < fewestOutcomes) return null
  const [a, b] = [came + prior, count - came + prior]
  const value = a / (a + b)
  const spread = Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1)))
  return {
    value,
    low: Math.max(0, value - z90 * spread),
    high: Math.min(1, value + z90 * spread),
    count,
  }
}

/**
 * A ratio by what it came to: the median, with the widest pair of order statistics that hold the true median in 90 % of
 * cases. Null below five outcomes.
 *
 * @example learntRatio([0.8, 0.85, 0.9, 0.95, 1.1]) // { value: 0.9, low: 0.8, high: 1.1 }: with 94 %
 */
export function learntRatio(ratios: readonly number[]): Learnt | null {
  if (ratios.length < fewestOutcomes) return null
  const sorted = [...ratios].sort((a, b) => a - b)
  const cut = cutFor(sorted.length)
  return {
    value: medianSorted(sorted),
    low: sorted[cut]!,
    high: sorted[sorted.length - 1 - cut]!,
    count: sorted.length,
  }
}

/**
 * A learnt figure as it takes the place of an assumption: within what that allows, in whole thousandths.
 *
 * @example figureToAdopt({ value: 0.72727 }, { min: 0, max: 1 }) // 0.727
 */
export function figureToAdopt(
  { value }: Pick<Learnt, 'value'>,
  { min, max }: { readonly min: number; readonly max: number },
): number {
  return Math.min(max, Math.max(min, Math.round(value * 1000) / 1000))
}

/** How many of the smallest and the largest may be left out so that the median still lies between in 90 % of cases. */
function cutFor(count: number): number {
  const outside = 0.05
  let tail = 0.5 ** count
  let chance = 0.5 ** count
  let cut = 0
  while (true) {
    // one more on each side: P(no more than `cut + 1` of them below the median)
    chance *= (count - cut) / (cut + 1)
    if (tail + chance > outside) return cut
    tail += chance
    cut += 1
  }
}
