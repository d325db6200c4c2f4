<script setup lang="ts">
import type { FlipsView } from '#shared/ledger/views'
import { request } from '~/utils/request'
import { amount, longDate, signedAmount } from '~/utils/show'

/** Sold on: what selling machines comes to, by month and by machine, and what money stands in now. */
const session = useSession()
const { run } = useAction()
const views = ref<readonly FlipsView[] | null>(null)
onMounted(() =>
  run(async () => {
    await session.load()
    views.value = await request<FlipsView[]>('/api/ledger/flips')
  }),
)
useHead({ title: 'Sold on · Tarvin' })
const monthName = (month: string) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-01T00:00:00Z`),
  )
const days = (count: number) => (count === 1 ? '1 day' : `${Math.round(count)} days`)
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <h1>Sold on</h1>
    <p v-if="views?.length === 0" class="mt-3 text-soft">
      No machine has cost anything yet. What is bought in a build stands here as stock, and what is sold from
      its Ledger as a sale.
    </p>
    <section v-for="{ currency, flips } in views ?? []" :key="currency" class="mt-4" :aria-label="currency">
      <dl class="flex flex-wrap gap-x-8 gap-y-2" data-test="flip-totals">
        <div>
          <dt class="text-[13px] text-soft">profit of {{ flips.sold.length }} sold, {{ currency }}</dt>
          <dd class="figures text-lg font-semibold">{{ signedAmount(flips.totals.profit, currency) }}</dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">an hour of {{ flips.totals.hours.toFixed(1) }}</dt>
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
          <dt class="text-[13px] text-soft">standing in {{ flips.stock.length }} not sold</dt>
          <dd class="figures text-lg font-semibold">{{ amount(flips.totals.capital, currency) }}</dd>
        </div>
        <div>
          <dt class="text-[13px] text-soft">finished and sold, that would leave</dt>
          <dd class="figures text-lg font-semibold">
            {{ flips.totals.leaves === null ? 'not known' : signedAmount(flips.totals.leaves, currency) }}
          </dd>
        </div>
      </dl>
      <template v-if="flips.sold.length > 0">
        <h2 class="mt-5">Sold</h2>
        <table class="ledger mt-1">
          <thead>
            <tr>
              <th>machine</th>
              <th>sold</th>
              <th class="!text-right">cost</th>
              <th class="!text-right">came in</th>
              <th class="!text-right">profit</th>
              <th class="!text-right">hours</th>
              <th class="!text-right">an hour</th>
              <th class="!text-right">stood</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="each in flips.sold" :key="each.id" :data-flip="each.id">
              <td>
                <NuxtLink :to="`/b/${each.id}/ledger`" class="hover:underline">{{ each.name }}</NuxtLink>
              </td>
              <td>{{ longDate(each.soldOn) }}</td>
              <td class="amount">{{ amount(each.cost, currency) }}</td>
              <td class="amount">{{ amount(each.sale, currency) }}</td>
              <td class="amount font-semibold">{{ signedAmount(each.profit, currency) }}</td>
              <td class="amount">{{ each.hours.toFixed(1) }}</td>
              <td class="amount">{{ each.perHour === null ? '—' : signedAmount(each.perHour, currency) }}</td>
              <td class="amount">{{ days(each.days) }}</td>
            </tr>
          </tbody>
        </table>
        <h2 class="mt-5">By month</h2>
        <table class="ledger mt-1 max-w-[640px]">
          <thead>
            <tr>
              <th>month</th>
              <th class="!text-right">sold</th>
              <th class="!text-right">profit</th>
              <th class="!text-right">hours</th>
              <th class="!text-right">an hour</th>
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
        <h2 class="mt-5">Money stands in</h2>
        <table class="ledger mt-1">
          <thead>
            <tr>
              <th>machine</th>
              <th class="!text-right">money in it</th>
              <th class="!text-right">still to pay</th>
              <th class="!text-right">would then fetch</th>
              <th class="!text-right">and leave</th>
              <th class="!text-right">stands for</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="each in flips.stock" :key="each.id">
              <td>
                <NuxtLink :to="`/b/${each.id}/ledger`" class="hover:underline">{{ each.name }}</NuxtLink>
              </td>
              <td class="amount">{{ amount(each.capital, currency) }}</td>
              <td class="amount">
                {{ each.toPay === null ? 'not known' : amount(each.toPay, currency) }}
              </td>
              <td class="amount">
                {{ each.worthToday === null ? 'not known' : amount(each.worthToday, currency) }}
              </td>
              <td class="amount font-semibold">
                {{ each.leaves === null ? '—' : signedAmount(each.leaves, currency) }}
              </td>
              <td class="amount">{{ days(each.days) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
  </main>
</template>
