import { compareText } from '../../text/compareText'

/** What decides whether a sale is the double of another. */
export interface SaleKeys {
  readonly day: number
  readonly source: string
  readonly id: string
  /** Title in normal form, price and currency. */
  readonly look: string
}

/** The sales as columns of hashes, with the exact keys of a single sale on demand. */
export interface SaleColumns {
  readonly identityHash: Float64Array
  readonly lookHash: Float64Array
  keys(index: number): SaleKeys
}

/**
 * Finds the doubles among sales: same source and id, or same title, price and date. Of each group the first by date,
 * source, id (code units) stays; only a sale that stays can make another its double, so the order of the input does
 * not matter. Hashes find the suspects, exact keys decide. Expected O(n).
 *
 * @returns for each double, its index and the index of the sale that stands for it
 */
export function findDuplicates(sales: SaleColumns): Map<number, number> {
  const suspects = new Set<number>()
  collectCollisions(sales.identityHash, suspects)
  collectCollisions(sales.lookHash, suspects)
  const ordered = [...suspects]
    .map((index) => ({ index, ...sales.keys(index) }))
    .sort(
      (a, b) =>
        a.day - b.day ||
        compareText(a.source, b.source) ||
        compareText(a.id, b.id) ||
        compareText(a.look, b.look) ||
        a.index - b.index,
    )
  const staysByIdentity = new Map<string, number>()
  const staysByLook = new Map<string, number>()
  const doubles = new Map<number, number>()
  for (const sale of ordered) {
    const identity = JSON.stringify([sale.source, sale.id])
    const look = `${sale.day} ${sale.look}`
    const original = staysByIdentity.get(identity) ?? staysByLook.get(look)
    if (original !== undefined) doubles.set(sale.index, original)
    else {
      staysByIdentity.set(identity, sale.index)
      staysByLook.set(look, sale.index)
    }
  }
  return doubles
}

/** Adds the indices of all values that occur more than once; open addressing at half load. */
function collectCollisions(values: Float64Array, into: Set<number>): void {
  let size = 16
  while (size < values.length * 2) size *= 2
  const slots = new Int32Array(size).fill(-1)
  for (let index = 0; index < values.length; index += 1) {
    const value = values[index]!
    let slot = (Math.imul((value % 4294967291) | 0, 0x9e3779b1) >>> 0) & (size - 1)
    while (slots[slot] !== -1 && values[slots[slot]!] !== value) slot = (slot + 1) & (size - 1)
    if (slots[slot] === -1) slots[slot] = index
    else into.add(slots[slot]!).add(index)
  }
}
