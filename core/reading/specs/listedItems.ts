import { countWords } from './values'

/**
 * What a list in one line counts, item by item: `1x ATX 24-pin, 2x EPS 8-pin, 4x PCIe 8-pin (6+2)`. Items are parted by
 * commas, semicolons and slashes with spaces around them.
 *
 * @returns the sum over the items that a pattern names; null where none is named, or the line is no list
 * @example countItems('2x eps 8-pin, 4x pcie 8-pin (6+2)', /pcie/) // 4
 */
export function countItems(plain: string, named: RegExp, not?: RegExp): number | null {
  const items = plain.split(/[,;]\s*|\s\/\s|\s\+\s/).map((item) => item.trim())
  if (items.length < 2) return null
  let sum: number | null = null
  for (const item of items) {
    if (!named.test(item) || not?.test(item)) continue
    const before = /^(\d{1,2}|[a-z]+)\s*(?:x|×|\*)?\s/.exec(item)?.[1] ?? ''
    const behind = /(?:x|×)\s*(\d{1,2})$/.exec(item)?.[1]
    const count = /^\d/.test(before) ? Number(before) : (countWords[before] ?? Number(behind ?? 1))
    sum = (sum ?? 0) + count
  }
  return sum
}
