<script setup lang="ts">
import type { RateView } from '#shared/settings/rates'
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
</script>

<template>
  <section aria-label="Exchange rates">
    <h2>Exchange rates</h2>
    <RateForm class="mt-1" :to="home" :today="today" @saved="rates = $event" />
    <table v-if="rates && rates.length > 0" class="ledger mt-2 bg-sheet">
      <thead>
        <tr>
          <th>from the day</th>
          <th>one</th>
          <th class="!text-right">is</th>
          <th>in</th>
          <th class="w-20"><span class="sr-only">remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rates.slice(0, 60)" :key="`${row.date} ${row.from} ${row.to}`">
          <td>{{ shortDate(row.date) }}</td>
          <td class="figures">{{ row.from }}</td>
          <td class="amount">{{ row.rate }}</td>
          <td class="figures">{{ row.to }}</td>
          <td class="text-right">
            <button type="button" class="quiet-button" @click="remove(row)">remove</button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="rates" class="mt-1 text-soft">
      None yet: they are needed only where something is priced abroad.
    </p>
  </section>
</template>
