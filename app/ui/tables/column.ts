/** What a column is sorted by; null where it is not known. */
export type SortValue = number | string | null

/** One column of a table: its head, what its cells are sorted by, how they stand. */
export interface Column<Row> {
  /** names the slot of its cells, and the column in the address of the page */
  readonly key: string
  readonly name: string
  /** a column of buttons has a head that is only spoken */
  readonly isSpoken?: boolean
  /** figures stand to the right, one digit under the other */
  readonly isFigure?: boolean
  readonly title?: string
  /** of its head and of every cell */
  readonly class?: string
  readonly by?: (row: Row) => SortValue
  /** what is sought is the largest: it comes first at the first press */
  readonly isLargestFirst?: boolean
}

/** Order of two values that are known; numbers in texts by their size, so that 8 GB stands before 16 GB. */
export function inOrder(a: number | string, b: number | string): number {
  return typeof a === 'number' && typeof b === 'number'
    ? a - b
    : String(a).localeCompare(String(b), 'en', { numeric: true, sensitivity: 'base' })
}

/** `order` as it stands in an address, `price` or `-price`, as the table holds it. */
export function sortingOf(order: string): { id: string; desc: boolean }[] {
  return order === '' ? [] : [{ id: order.replace(/^-/, ''), desc: order.startsWith('-') }]
}

/** The other way round. */
export function orderOf([first]: readonly { id: string; desc: boolean }[]): string {
  return first ? `${first.desc ? '-' : ''}${first.id}` : ''
}
