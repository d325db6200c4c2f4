/** Share of the patient mark below which an ask is a warning rather than a bargain. */
export const tooCheapShare = 0.6

/**
 * Whether an ask is so far below the street that something is probably wrong (a fault, a copy, no goods at all).
 * False where no street price is known.
 *
 * @param ask minor units; the whole ask for all things kept
 * @param patient patient mark of the same things together, minor units
 */
export function isTooCheap(ask: number, patient: number | null): boolean {
  return patient !== null && ask < patient * tooCheapShare
}
