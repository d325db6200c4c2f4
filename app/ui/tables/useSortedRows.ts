import { getCoreRowModel, getSortedRowModel, useVueTable, type ColumnDef } from '@tanstack/vue-table'
import type { Ref } from 'vue'
import { inOrder, orderOf, sortingOf, type Column } from './column'

/** A row of whatever kind: the types of the table library are not led through those of every table. */
type AnyRow = Record<string, unknown>
export interface SortedRow<Row> {
  readonly id: string
  readonly row: Row
}

/**
 * Rows in the order of `order` (`price`, `-price`, or '' as they were given), what is not known last either way, and
 * what a press on a head makes of it: one way, the other, as given.
 */
export function useSortedRows<Row>(
  table: () => {
    readonly rows: readonly Row[]
    readonly columns: readonly Column<Row>[]
    rowId(row: Row): string
  },
  order: Ref<string>,
) {
  const definitions = computed(() =>
    table().columns.map(({ key, by, isLargestFirst = false }): ColumnDef<AnyRow, unknown> => ({
      id: key,
      ...(by ? { accessorFn: (row: AnyRow) => by(row as Row) ?? undefined } : {}),
      enableSorting: by !== undefined,
      sortDescFirst: isLargestFirst,
      sortUndefined: 'last',
      sortingFn: (a, b) => inOrder(a.getValue(key), b.getValue(key)),
    })),
  )
  const sorting = useVueTable<AnyRow>({
    get data() {
      return table().rows as unknown as AnyRow[]
    },
    get columns() {
      return definitions.value
    },
    getRowId: (row) => table().rowId(row as Row),
    state: {
      get sorting() {
        return sortingOf(order.value)
      },
    },
    onSortingChange: (change) =>
      (order.value = orderOf(typeof change === 'function' ? change(sortingOf(order.value)) : change)),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  })
  const sorted = computed(() =>
    sorting.getRowModel().rows.map(({ id, original }): SortedRow<Row> => ({ id, row: original as Row })),
  )
  return { sorted, press: (key: string) => sorting.getColumn(key)?.toggleSorting() }
}
