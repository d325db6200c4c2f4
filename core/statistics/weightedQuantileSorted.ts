/**
 * Weighted quantile by mid-positions: the position of value i is (S_i − w_i/2)/S with running sum S_i and total S;
 * linear between neighbouring positions, the first and the last value outside them.
 *
 * @param sorted values in ascending order, at least one
 * @param weights one positive weight a value
 * @param q 0 to 1
 * @example weightedQuantileSorted([10, 20], [1, 1], 0.5) // 15
 */
export function weightedQuantileSorted(
  sorted: ArrayLike<number>,
  weights: ArrayLike<number>,
  q: number,
): number {
  const { length } = sorted
  let total = 0
  for (let i = 0; i < length; i += 1) total += weights[i]!
  let running = 0
  let previousPosition = 0
  for (let i = 0; i < length; i += 1) {
    running += weights[i]!
    const position = (running - weights[i]! / 2) / total
    if (position >= q) {
      if (i === 0) return sorted[0]!
      const share = (q - previousPosition) / (position - previousPosition)
      return sorted[i - 1]! + share * (sorted[i]! - sorted[i - 1]!)
    }
    previousPosition = position
  }
  return sorted[length - 1]!
}
