import { CoreError } from '../errors/coreError'

/**
 * Splits a whole amount over lines in proportion to `weights`, so that the parts add up to the amount exactly.
 *
 * Each line first gets the whole part of its share; the units left over go one each to the lines with the largest
 * fractional remainder, earlier lines first on a tie. All weights zero: an equal split. A negative amount is split
 * as the mirror of the positive one. Computed in big integers: no floating point, O(n log n).
 *
 * @param amount integer minor units, may be negative
 * @param weights non-negative safe integers, one a line; an empty list gives an empty list
 * @throws CoreError `bad-weight` on a negative or fractional weight
 * @example splitByLargestRemainder(100, [1, 1, 1]) // [34, 33, 33]
 */
export function splitByLargestRemainder(amount: number, weights: readonly number[]): number[] {
  if (weights.length === 0) return []
  for (const [index, weight] of weights.entries()) {
    if (!Number.isSafeInteger(weight) || weight < 0) {
      throw new CoreError('bad-weight', { weight }, `weights[${index}]`)
    }
  }
  const sign = amount < 0 ? -1 : 1
  const positive = BigInt(Math.abs(amount))
  const shares = weights.some((weight) => weight > 0) ? weights.map(BigInt) : weights.map(() => 1n)
  const total = shares.reduce((sum, share) => sum + share, 0n)
  const parts = shares.map((share, index) => ({
    index,
    whole: (positive * share) / total,
    remainder: (positive * share) % total,
  }))
  let left = Number(positive - parts.reduce((sum, part) => sum + part.whole, 0n))
  const result = parts.map((part) => Number(part.whole))
  const byRemainder = [...parts].sort((a, b) =>
    a.remainder === b.remainder ? a.index - b.index : a.remainder > b.remainder ? -1 : 1,
  )
  for (const part of byRemainder) {
    if (left === 0) break
    result[part.index]! += 1
    left -= 1
  }
  return result.map((part) => (part === 0 ? 0 : sign * part))
}
