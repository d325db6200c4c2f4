<script setup lang="ts">
import type { RateView } from '#shared/settings/rates'
import type { Column } from '~/ui/tables/column'
import { request } from '~/utils/request'
import { shortDate } from '~/utils/show'

/** Exchange rates by hand: the last one on or before a day counts; without one a figure says which is missing. */
const { home, today } = defineProps<{ home: string; today: string }>()
const { run } = useAction()
const rates = ref<readonly RateView[] | null>(null)
onMounted(() => run(async () => (rates.value = await request<RateView[]>('/api/settings/rates'))))
const remove = (row: RateView) =>
  run(
    async () => {
      const { date, from, to } = row
      rates.value = await request<RateView[]>('/api/settings/rates', {
        method: 'DELETE',
        body: { date, from, to },
      })
    },
    {
      message: `rate from ${row.from} to ${row.to} removed`,
      undo: async () => {
        rates.value = await request<RateView[]>('/api/settings/rates', {
          method: 'PUT',
          body: { ...row, bothWays: false },
        })
      },
    },
  )
const columns: readonly Column<RateView>[] = [
  { key: 'date', name: 'valid from', isLargestFirst: true, by: (row) => row.date },
  { key: 'from', name: 'from', class: 'figures', by: (row) => row.from },
  { key: 'rate', name: 'rate', isFigure: true, by: (row) => row.rate },
  { key: 'to', name: 'to', class: 'figures', by: (row) => row.to },
  { key: 'remove', name: 'remove', isSpoken: true, class: 'w-20 text-right' },
]
</script>

<template>
  <section aria-label="Exchange rates">
    <h2>Exchange rates</h2>
    <RateForm class="mt-1" :to="home" :today="today" @saved="rates = $event" />
    <DataTable
      v-if="rates && rates.length > 0"
      class="mt-2 bg-sheet"
      :columns="columns"
      :rows="rates"
      :row-id="(row) => `${row.date} ${row.from} ${row.to}`"
    >
      <template #date="{ row }">{{ shortDate(row.date) }}</template>
      <template #remove="{ row }">
        <button type="button" class="quiet-button" @click="remove(row)">remove</button>
      </template>
    </DataTable>
    <p v-else-if="rates" class="mt-1 text-soft">
      None yet: only needed when something is priced in another currency.
    </p>
  </section>
</template>
