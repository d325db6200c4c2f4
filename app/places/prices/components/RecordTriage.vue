<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import type { PriceView, RecordView } from '#shared/prices/views'
import { amount, shortDate } from '~/utils/show'
import { recordWorking } from '~/workings/priceWorkings'
import type { Brush } from '../state/brush'
import {
  filterRecords,
  nextDecision,
  reasonCounts,
  reasonNames,
  wordsToGatherBy,
  type TriageFilter,
} from '../state/triage'

/** The records at full height: arrows move, K keeps, D drops, Z undoes. */
const { view, brush } = defineProps<{ view: PriceView; brush: Brush | null }>()
const emit = defineEmits<{
  unbrush: []
  decide: [records: readonly number[], decision: RecordView['decision']]
  undo: []
}>()
const filter = useRouteState('show', 'all')
const word = ref('')
const rows = computed(() => filterRecords(view.records, filter.value as TriageFilter, word.value, brush))
const reasons = computed(() => reasonCounts(view.records))
const isGathered = computed(() => (word.value.trim() !== '' || brush !== null) && rows.value.length > 0)
const gatherBy = computed(() =>
  rows.value[selected.value] ? wordsToGatherBy(rows.value[selected.value]!.title, view.query.must) : [],
)
const selectedId = ref<number | null>(null)
const selected = computed(() =>
  Math.max(
    0,
    rows.value.findIndex((row) => row.id === selectedId.value),
  ),
)
const scroller = ref<HTMLElement | null>(null)
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => 30,
    overscan: 12,
  })),
)

function move(by: number) {
  const next = Math.min(rows.value.length - 1, Math.max(0, selected.value + by))
  selectedId.value = rows.value[next]?.id ?? null
  virtual.value.scrollToIndex(next)
}
function decide(key: 'keep' | 'drop') {
  const row = rows.value[selected.value]
  if (!row) return
  selectedId.value = rows.value[selected.value + 1]?.id ?? row.id
  emit('decide', [row.id], nextDecision(row, key))
}
function select(id: number) {
  selectedId.value = id
  const index = rows.value.findIndex((row) => row.id === id)
  if (index >= 0) virtual.value.scrollToIndex(index)
}
defineExpose({ select })
useKeys({
  '↓': () => move(1),
  '↑': () => move(-1),
  K: () => decide('keep'),
  D: () => decide('drop'),
  Z: () => emit('undo'),
})
const filters: readonly (readonly [TriageFilter, string])[] = [
  ['all', 'all'],
  ['kept', 'count'],
  ['left-out', 'left out'],
  ['yours', 'yours'],
]
const statedPrice = (row: RecordView) =>
  `${amount(row.price + row.shipping, row.currency)}${row.currency === view.currency ? '' : ` ${row.currency}`}`
</script>

<template>
  <section class="sheet flex min-h-[260px] flex-1 flex-col" aria-label="records">
    <div
      class="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-3 py-1.5 whitespace-nowrap"
    >
      <div class="flex gap-1" role="group" aria-label="which records">
        <button
          v-for="[key, name] in filters"
          :key="key"
          type="button"
          class="rounded px-2 py-0.5"
          :class="filter === key ? 'bg-ink text-paper' : 'text-soft'"
          :aria-pressed="filter === key"
          @click="filter = key"
        >
          {{ name }}
        </button>
      </div>
      <select
        :value="filter in reasonNames ? filter : ''"
        class="field !min-h-0 w-40 !py-0.5"
        aria-label="reason left out"
        @change="filter = ($event.target as HTMLSelectElement).value || 'all'"
      >
        <option value="">reason left out…</option>
        <option v-for="each in reasons" :key="each.reason" :value="each.reason">
          {{ reasonNames[each.reason] }} {{ each.count }}
        </option>
      </select>
      <input
        v-model="word"
        class="field !min-h-0 w-32 !py-0.5"
        placeholder="word in the title"
        aria-label="word in the title"
      />
      <button v-if="brush" type="button" class="tag tag-info" @click="emit('unbrush')">
        {{ shortDate(brush.from) }} to {{ shortDate(brush.to) }}, {{ amount(brush.low, view.currency) }} to
        {{ amount(brush.high, view.currency) }} ×
      </button>
      <template v-if="isGathered"
        ><button
          type="button"
          class="button !py-0.5"
          @click="
            emit(
              'decide',
              rows.map((row) => row.id),
              'drop',
            )
          "
        >
          drop these {{ rows.length }}</button
        ><button
          type="button"
          class="button !py-0.5"
          @click="
            emit(
              'decide',
              rows.map((row) => row.id),
              'keep',
            )
          "
        >
          keep them
        </button></template
      >
      <span class="ml-auto text-xs text-soft"
        >{{ rows.length }} records · {{ view.unrelated.toLocaleString('en') }} are for other parts</span
      >
    </div>
    <div
      ref="scroller"
      class="min-h-0 flex-1 overflow-y-auto"
      tabindex="0"
      role="listbox"
      aria-label="records, one per line"
    >
      <div :style="{ height: `${virtual.getTotalSize()}px`, position: 'relative' }">
        <div
          v-for="item in virtual.getVirtualItems()"
          :key="rows[item.index]!.id"
          role="option"
          :aria-selected="item.index === selected"
          :data-record="rows[item.index]!.id"
          class="absolute inset-x-0 flex h-[30px] cursor-pointer items-center gap-3 border-l-3 px-3"
          :class="[
            item.index === selected ? 'border-settled bg-paper' : 'border-transparent',
            rows[item.index]!.reason ? 'text-soft' : '',
          ]"
          :style="{ transform: `translateY(${item.start}px)` }"
          @click="selectedId = rows[item.index]!.id"
        >
          <span class="w-4 text-center" :title="rows[item.index]!.reason ? 'left out' : 'counts'">{{
            rows[item.index]!.reason ? '○' : '●'
          }}</span>
          <span class="figures w-14 shrink-0 text-xs">{{ shortDate(rows[item.index]!.soldOn) }}</span>
          <span class="min-w-0 flex-1 truncate" :title="rows[item.index]!.title">{{
            rows[item.index]!.title
          }}</span>
          <span v-if="rows[item.index]!.decision" class="tag tag-info">yours</span>
          <span
            v-if="rows[item.index]!.reason"
            class="tag shrink-0"
            :class="rows[item.index]!.reason === 'outside-window' ? '' : 'tag-waiting'"
            :title="rows[item.index]!.detail"
            >{{ reasonNames[rows[item.index]!.reason!] }}</span
          >
          <span class="w-24 shrink-0 truncate text-xs text-soft"
            >{{ rows[item.index]!.source }} · {{ rows[item.index]!.manner }}</span
          >
          <span class="figures w-24 shrink-0 text-right">{{
            rows[item.index]!.unitPrice === null
              ? statedPrice(rows[item.index]!)
              : amount(rows[item.index]!.unitPrice, view.currency)
          }}</span>
        </div>
      </div>
      <p v-if="rows.length === 0" class="p-4 text-soft">
        No records match. Import past sales or loosen the query.
      </p>
    </div>
    <div class="flex gap-4 border-t border-line px-3 py-1 text-xs text-soft">
      <span><span class="key">↑↓</span> move</span><span><span class="key">K</span> keep</span
      ><span><span class="key">D</span> drop</span><span><span class="key">Z</span> undo</span
      ><span v-if="rows[selected]" class="ml-auto flex min-w-0 gap-2"
        ><span class="flex min-w-0 gap-1.5 overflow-hidden"
          ><span v-if="gatherBy.length > 0" class="shrink-0">all with</span
          ><button
            v-for="each in gatherBy"
            :key="each"
            type="button"
            class="quiet-button shrink-0"
            @click="word = each"
          >
            {{ each }}
          </button></span
        ><span class="truncate">{{ rows[selected]!.detail }}</span
        ><TheFigure
          :text="
            rows[selected]!.unitPrice === null
              ? statedPrice(rows[selected]!)
              : amount(rows[selected]!.unitPrice, view.currency)
          "
          :working="() => recordWorking(view, rows[selected]!)"
      /></span>
    </div>
  </section>
</template>
