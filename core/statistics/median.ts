import { medianSorted } from './medianSorted'

/**
 * The median of figures in any order; the mean of the two middle ones where their count is even.
 *
 * @example median([3, 1, 2]) // 2
 */
export function median(values: readonly number[]): number {
  return medianSorted([...values].sort((a, b) => a - b))
}
