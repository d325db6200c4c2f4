<script setup lang="ts" generic="Row">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useScroller } from '~/composables/useScroller'
import { sortingOf, type Column } from './column'
import { useSortedRows } from './useSortedRows'

/**
 * Rows under heads that sort them: the first press one way, the second the other, the third as they were given. What is
 * not known stands last either way. Of a long list only what is in sight is drawn. Cells come by slots named as the
 * columns, what stands under an open row by `below`.
 */
const {
  columns,
  rows,
  rowId,
  rowClass = () => '',
  rowData = () => ({}),
  open = null,
  stickyHead = false,
} = defineProps<{
  columns: readonly Column<Row>[]
  rows: readonly Row[]
  rowId: (row: Row) => string
  rowClass?: (row: Row) => string | (string | Record<string, boolean>)[]
  /** attributes by which a row is known to others */
  rowData?: (row: Row) => Record<string, string>
  /** id of the row that shows what is below it */
  open?: string | null
  stickyHead?: boolean
}>()
const order = defineModel<string>('order', { default: '' })
const emit = defineEmits<{ press: [row: Row] }>()
defineSlots<Record<string, (scope: { row: Row }) => unknown>>()

const { sorted, press } = useSortedRows(() => ({ rows, columns, rowId }), order)
const spokenOrder = (key: string) => {
  const [first] = sortingOf(order.value)
  if (first?.id !== key) return 'none'
  return first.desc ? 'descending' : 'ascending'
}

/** From here on only what is in sight is drawn. */
const longList = 150
const body = useTemplateRef<HTMLElement>('body')
const { scroller, above: margin } = useScroller(body)
const virtual = useVirtualizer(
  computed(() => ({
    count: sorted.value.length > longList ? sorted.value.length : 0,
    getScrollElement: () => scroller.value,
    estimateSize: () => 34,
    scrollMargin: margin.value,
    overscan: 12,
    getItemKey: (index: number) => sorted.value[index]!.id,
  })),
)
const isLong = computed(() => sorted.value.length > longList)
const inSight = computed(() => virtual.value.getVirtualItems())
const drawn = computed(() =>
  isLong.value ? inSight.value.map(({ index }) => ({ index, ...sorted.value[index]! })) : indexed.value,
)
const indexed = computed(() => sorted.value.map((each, index) => ({ index, ...each })))
const room = computed(() => ({
  before: isLong.value ? (inSight.value[0]?.start ?? margin.value) - margin.value : 0,
  after: isLong.value ? virtual.value.getTotalSize() + margin.value - (inSight.value.at(-1)?.end ?? 0) : 0,
}))
const measure = (element: unknown) => isLong.value && virtual.value.measureElement(element as HTMLElement)
</script>

<template>
  <table class="ledger" :aria-rowcount="isLong ? sorted.length + 1 : undefined">
    <thead :class="{ 'sticky top-0 z-10 bg-sheet': stickyHead }">
      <tr>
        <th
          v-for="column in columns"
          :key="column.key"
          scope="col"
          :class="[column.class, { '!text-right': column.isFigure }]"
          :title="column.title"
          :aria-sort="column.by ? spokenOrder(column.key) : undefined"
        >
          <button
            v-if="column.by"
            type="button"
            class="hover:text-ink"
            :class="{ 'text-ink underline': spokenOrder(column.key) !== 'none' }"
            @click="press(column.key)"
          >
            {{ column.name
            }}<span v-if="spokenOrder(column.key) !== 'none'" aria-hidden="true">{{
              spokenOrder(column.key) === 'ascending' ? ' ↑' : ' ↓'
            }}</span>
          </button>
          <span v-else :class="{ 'sr-only': column.isSpoken }">{{ column.name }}</span>
        </th>
      </tr>
    </thead>
    <tbody ref="body">
      <tr v-if="room.before > 0" aria-hidden="true">
        <td :colspan="columns.length" class="!border-0 !p-0" :style="{ height: `${room.before}px` }" />
      </tr>
      <template v-for="{ index, id, row } in drawn" :key="id">
        <tr
          :ref="measure"
          :data-index="index"
          :class="rowClass(row)"
          v-bind="rowData(row)"
          @click="emit('press', row)"
        >
          <td
            v-for="column in columns"
            :key="column.key"
            :class="[column.class, { amount: column.isFigure }]"
          >
            <slot :name="column.key" :row="row">{{ column.by?.(row) ?? '—' }}</slot>
          </td>
        </tr>
        <tr v-if="open === id">
          <td :colspan="columns.length"><slot name="below" :row="row" /></td>
        </tr>
      </template>
      <tr v-if="room.after > 0" aria-hidden="true">
        <td :colspan="columns.length" class="!border-0 !p-0" :style="{ height: `${room.after}px` }" />
      </tr>
    </tbody>
  </table>
</template>
