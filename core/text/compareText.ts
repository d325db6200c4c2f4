/** Order of two texts by code unit, the same on every machine and in every language. */
export function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
