<script setup lang="ts">
import type { RateView } from '#shared/settings/rates'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'
import { shortDate } from '~/utils/show'

/** Exchange rates by hand: the last one on or before a day counts; without one a figure says which is missing. */
const { home, today } = defineProps<{ home: string; today: string }>()
const { run } = useAction()
const { data: rates } = useCall('GET /api/settings/rates')
const remove = (row: RateView) => {
  const { date, from, to } = row
  return run(() => call('DELETE /api/settings/rates', {}, { date, from, to }), {
    message: `rate from ${from} to ${to} removed`,
    undo: () => call('PUT /api/settings/rates', {}, { ...row, bothWays: false }),
  })
}
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
    <RateForm class="mt-1" :to="home" :today="today" />
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
