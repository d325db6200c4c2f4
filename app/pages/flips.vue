<script setup lang="ts">
import type { FlipsView } from '#shared/ledger/views'
import type { Column } from '~/ui/tables/column'
import { amount, longDate, signedAmount } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** Sold on: what selling machines comes to, by month and by machine, and what money stands in now. */
const { data: views } = useCall('GET /api/ledger/flips')
usePlace('flips')
const monthName = (month: string) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-01T00:00:00Z`),
  )
const days = (count: number) => (count === 1 ? '1 day' : `${Math.round(count)} days`)
type Flips = FlipsView['flips']
const soldColumns: readonly Column<Flips['sold'][number]>[] = [
  { key: 'machine', name: 'machine', by: (each) => each.name },
  { key: 'sold', name: 'sold', isLargestFirst: true, by: (each) => each.soldOn },
  { key: 'cost', name: 'cost', isFigure: true, isLargestFirst: true, by: (each) => each.cost },
  { key: 'sale', name: 'money back', isFigure: true, isLargestFirst: true, by: (each) => each.sale },
  { key: 'profit', name: 'profit', isFigure: true, isLargestFirst: true, by: (each) => each.profit },
  { key: 'hours', name: 'hours', isFigure: true, isLargestFirst: true, by: (each) => each.hours },
  { key: 'perHour', name: 'per hour', isFigure: true, isLargestFirst: true, by: (each) => each.perHour },
  { key: 'days', name: 'days held', isFigure: true, isLargestFirst: true, by: (each) => each.days },
]
const stockColumns: readonly Column<Flips['stock'][number]>[] = [
  { key: 'machine', name: 'machine', by: (each) => each.name },
  { key: 'capital', name: 'spent on it', isFigure: true, isLargestFirst: true, by: (each) => each.capital },
  { key: 'toPay', name: 'still to pay', isFigure: true, isLargestFirst: true, by: (each) => each.toPay },
  {
    key: 'worth',
    name: 'would sell for',
    isFigure: true,
    isLargestFirst: true,
    by: (each) => each.worthToday,
  },
  { key: 'leaves', name: 'profit', isFigure: true, isLargestFirst: true, by: (each) => each.leaves },
  { key: 'days', name: 'age', isFigure: true, isLargestFirst: true, by: (each) => each.days },
]
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <h1>Flips</h1>
    <p v-if="views?.length === 0" class="mt-3 text-soft">
      No machine has cost anything yet. Builds you have bought parts for are listed here as stock; machines
      you sell from the Ledger are listed as sold.
    </p>
    <section v-for="{ currency, flips } in views ?? []" :key="currency" class="mt-4" :aria-label="currency">
      <dl class="flex flex-wrap gap-x-8 gap-y-2" data-test="flip-totals">
        <div>
          <dt class="text-[13px] text-soft">profit on {{ flips.sold.length }} sold, {{ currency }}</dt>
          <dd class="figures text-lg font-semibold">{{ signedAmount(flips.totals.profit, currency) }}</dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">per hour, over {{ flips.totals.hours.toFixed(1) }} h</dt>
          <dd class="figures text-lg font-semibold">
            {{ flips.totals.perHour === null ? '—' : signedAmount(flips.totals.perHour, currency) }}
          </dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">from first payment to sale</dt>
          <dd class="figures text-lg font-semibold">
            {{ flips.totals.medianDays === null ? '—' : days(flips.totals.medianDays) }}
          </dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">tied up in {{ flips.stock.length }} unsold</dt>
          <dd class="figures text-lg font-semibold">{{ amount(flips.totals.capital, currency) }}</dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">profit if finished and sold</dt>
          <dd class="figures text-lg font-semibold">
            {{ flips.totals.leaves === null ? 'not known' : signedAmount(flips.totals.leaves, currency) }}
          </dd>
        </div>
      </dl>
      <template v-if="flips.sold.length > 0">
        <h2 class="mt-5">Sold</h2>
        <DataTable
          class="mt-1"
          :columns="soldColumns"
          :rows="flips.sold"
          :row-id="(each) => each.id"
          :row-data="(each) => ({ 'data-flip': each.id })"
        >
          <template #machine="{ row: each }">
            <NuxtLink :to="`/b/${each.id}/ledger`" class="hover:underline">{{ each.name }}</NuxtLink>
          </template>
          <template #sold="{ row: each }">{{ longDate(each.soldOn) }}</template>
          <template #cost="{ row: each }">{{ amount(each.cost, currency) }}</template>
          <template #sale="{ row: each }">{{ amount(each.sale, currency) }}</template>
          <template #profit="{ row: each }"
            ><b>{{ signedAmount(each.profit, currency) }}</b></template
          >
          <template #hours="{ row: each }">{{ each.hours.toFixed(1) }}</template>
          <template #perHour="{ row: each }">{{
            each.perHour === null ? '—' : signedAmount(each.perHour, currency)
          }}</template>
          <template #days="{ row: each }">{{ days(each.days) }}</template>
        </DataTable>
        <h2 class="mt-5">By month</h2>
        <table class="ledger mt-1 max-w-[640px]">
          <thead>
            <tr>
              <th>month</th>
              <th class="!text-right">sold</th>
              <th class="!text-right">profit</th>
              <th class="!text-right">hours</th>
              <th class="!text-right">per hour</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="each in flips.months" :key="each.month">
              <td>{{ monthName(each.month) }}</td>
              <td class="amount">{{ each.sold }}</td>
              <td class="amount font-semibold">{{ signedAmount(each.profit, currency) }}</td>
              <td class="amount">{{ each.hours.toFixed(1) }}</td>
              <td class="amount">{{ each.perHour === null ? '—' : signedAmount(each.perHour, currency) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
      <template v-if="flips.stock.length > 0">
        <h2 class="mt-5">Money tied up in</h2>
        <DataTable class="mt-1" :columns="stockColumns" :rows="flips.stock" :row-id="(each) => each.id">
          <template #machine="{ row: each }">
            <NuxtLink :to="`/b/${each.id}/ledger`" class="hover:underline">{{ each.name }}</NuxtLink>
          </template>
          <template #capital="{ row: each }">{{ amount(each.capital, currency) }}</template>
          <template #toPay="{ row: each }">{{
            each.toPay === null ? 'not known' : amount(each.toPay, currency)
          }}</template>
          <template #worth="{ row: each }">{{
            each.worthToday === null ? 'not known' : amount(each.worthToday, currency)
          }}</template>
          <template #leaves="{ row: each }"
            ><b>{{ each.leaves === null ? '—' : signedAmount(each.leaves, currency) }}</b></template
          >
          <template #days="{ row: each }">{{ days(each.days) }}</template>
        </DataTable>
      </template>
    </section>
  </main>
</template>
