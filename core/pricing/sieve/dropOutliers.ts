import { medianSorted } from '../../statistics/medianSorted'

/** Fewest records among which "far from the rest" means anything. */
const fewest = 6
const passes = 3
const limit = 3.5
/** People round prices, so that the MAD collapses without a floor. */
const smallestScale = 0.08

/**
 * Marks prices far from the rest, on x = ln(price): m = median, s = max(1.4826 · MAD, 0.08), far where
 * |x − m| / s > 3.5; repeated on what is left until nothing is dropped, at most three passes, each only with six or
 * more left. Protected records count towards median and MAD and are never dropped. O(n log n) a pass.
 *
 * @param prices positive prices in any order
 * @param isProtected records the builder keeps
 * @returns for each price dropped its index and how many scales it is away
 * @example dropOutliers([100, 101, 99, 100, 102, 98, 500]) // new Map([[6, 20.117973905426243]]): its distance in
 *   scaled deviations
 */
export function dropOutliers(
  prices: ArrayLike<number>,
  isProtected: (index: number) => boolean = () => false,
): Map<number, number> {
  const dropped = new Map<number, number>()
  const logs = new Float64Array(prices.length)
  for (let i = 0; i < logs.length; i += 1) logs[i] = Math.log(prices[i]!)
  let left = new Int32Array(prices.length)
  for (let i = 0; i < left.length; i += 1) left[i] = i
  for (let pass = 0; pass < passes && left.length >= fewest; pass += 1) {
    const { median, scale } = spreadOf(logs, left)
    const before = left.length
    left = left.filter((i) => {
      const far = Math.abs(logs[i]! - median) / scale
      if (far <= limit || isProtected(i)) return true
      dropped.set(i, far)
      return false
    })
    if (left.length === before) break
  }
  return dropped
}

function spreadOf(logs: Float64Array, left: Int32Array): { median: number; scale: number } {
  const values = new Float64Array(left.length)
  for (let at = 0; at < left.length; at += 1) values[at] = logs[left[at]!]!
  const median = medianSorted(values.sort())
  for (let at = 0; at < left.length; at += 1) values[at] = Math.abs(values[at]! - median)
  return { median, scale: Math.max(1.4826 * medianSorted(values.sort()), smallestScale) }
}
