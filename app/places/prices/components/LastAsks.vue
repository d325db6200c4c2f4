<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'
import type { Column } from '~/ui/tables/column'
import { amount, percent, shortDate } from '~/utils/show'

/** What local listings asked last before they were gone: asks, never comps. */
const { view } = defineProps<{ view: PriceView }>()
const columns: readonly Column<PriceView['lastAsks']['vanished'][number]>[] = [
  { key: 'listing', name: 'listing', class: 'max-w-0 truncate w-1/2', by: (each) => each.title },
  { key: 'listed', name: 'listed', class: 'figures', by: (each) => each.listedOn },
  { key: 'gone', name: 'gone', class: 'figures', isLargestFirst: true, by: (each) => each.vanishedOn },
  { key: 'firstAsk', name: 'first asking price', isFigure: true, by: (each) => each.firstAsk },
  { key: 'lastAsk', name: 'last asking price', isFigure: true, by: (each) => each.lastAsk },
]
</script>

<template>
  <section class="sheet p-3">
    <h2>
      Last asking prices of local listings
      <span class="font-normal text-soft">asking prices, not sales: never counted as comps</span>
    </h2>
    <template v-if="view.lastAsks.vanished.length > 0">
      <p>
        {{ view.lastAsks.vanished.length }} listings gone; median last asking price
        <b class="figures">{{ amount(view.lastAsks.medianAsk, view.currency) }}</b> after
        <b class="figures">{{ view.lastAsks.medianDaysUp }}</b> days.<template v-if="view.paidToAsked">
          Your own local deals closed at {{ percent(view.paidToAsked.ratio) }} of the first asking price ({{
            view.paidToAsked.count
          }}).</template
        >
      </p>
      <DataTable
        :columns="columns"
        :rows="view.lastAsks.vanished.slice(0, 12)"
        :row-id="(each) => String(each.id)"
      >
        <template #listing="{ row: each }">{{ each.title }}</template>
        <template #listed="{ row: each }">{{ shortDate(each.listedOn) }}</template>
        <template #gone="{ row: each }">{{ shortDate(each.vanishedOn!) }}</template>
        <template #firstAsk="{ row: each }">{{ amount(each.firstAsk, view.currency) }}</template>
        <template #lastAsk="{ row: each }">{{ amount(each.lastAsk, view.currency) }}</template>
      </DataTable>
    </template>
    <p v-else class="text-soft">
      None yet: when a listing from a scheduled check disappears, its last asking price is listed here.
    </p>
  </section>
</template>
