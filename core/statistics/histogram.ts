/** One bar: from (included) to (excluded, but for the last), and how many values fall into it. */
export interface Bin {
  readonly from: number
  readonly to: number
  readonly count: number
}

/** Counts values in equal bins between two ends; values outside belong to the end bins. Empty without values or room. */
export function histogram(values: ArrayLike<number>, low: number, high: number, bins = 18): Bin[] {
  if (values.length === 0 || !(high > low)) return []
  const width = (high - low) / bins
  const counts = new Array<number>(bins).fill(0)
  for (let i = 0; i < values.length; i += 1)
    counts[Math.min(bins - 1, Math.max(0, Math.floor((values[i]! - low) / width)))]! += 1
  return counts.map((count, index) => ({ from: low + index * width, to: low + (index + 1) * width, count }))
}
