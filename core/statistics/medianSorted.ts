/** Median of values in ascending order: the middle one, or the mean of the two middle ones. NaN for none. */
export function medianSorted(sorted: ArrayLike<number>): number {
  const { length } = sorted
  if (length === 0) return Number.NaN
  const middle = length >> 1
  return length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
