/** Quantile of ascending values, linear between order statistics at h = (n − 1)·q. At least one value. */
export function quantileSorted(sorted: ArrayLike<number>, q: number): number {
  const h = (sorted.length - 1) * q
  const low = Math.floor(h)
  const high = Math.min(low + 1, sorted.length - 1)
  return sorted[low]! + (h - low) * (sorted[high]! - sorted[low]!)
}
