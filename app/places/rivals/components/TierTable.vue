<script setup lang="ts">
import type { TierView } from '#shared/scales/views'
import { amount, signedAmount } from '~/utils/show'

/** Budgets side by side: each build, the same list assembled by a shop, and what the builder's hours earn by it. */
const { tiers } = defineProps<{ tiers: readonly TierView[] }>()
const hoursText = (hours: number) => `${hours.toFixed(1)} h`
</script>

<template>
  <section class="mt-6" aria-label="DIY or assembled">
    <h2>
      DIY or assembled
      <span class="font-normal text-soft">each build, ready to use, and a shop assembling the same list</span>
    </h2>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>build</th>
          <th class="!text-right">budget</th>
          <th class="!text-right">build</th>
          <th>assembled by</th>
          <th class="!text-right">assembled price</th>
          <th class="!text-right">delivery</th>
          <th class="!text-right">difference</th>
          <th class="!text-right">shop charges</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in tiers" :key="`${each.buildId} ${each.shop}`">
          <td>
            <NuxtLink :to="`/b/${each.buildId}/scales`" class="hover:underline">{{ each.build }}</NuxtLink>
          </td>
          <td class="amount">{{ amount(each.budget, each.currency) }} {{ each.currency }}</td>
          <td class="amount">{{ amount(each.tier.build, each.currency) }}</td>
          <td>{{ each.shop }}</td>
          <td class="amount">{{ amount(each.tier.assembled, each.currency) }}</td>
          <td class="amount">{{ amount(each.tier.delivery, each.currency) }}</td>
          <td class="amount font-semibold">{{ signedAmount(each.tier.difference, each.currency) }}</td>
          <td class="amount">
            <template v-if="each.tier.paysForHours !== null">{{
              hoursText(each.tier.paysForHours)
            }}</template><template v-else-if="each.tier.paysAnHour !== null"
              >{{ amount(each.tier.paysAnHour, each.currency) }} per hour for
              {{ hoursText(each.hours) }}</template
            ><span v-else class="text-soft">no hours booked</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
