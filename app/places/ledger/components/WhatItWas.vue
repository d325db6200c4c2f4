<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import { amount, longDate, signedAmount } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** A build that is over: what it was, what it fetched, and where its account stands. Nothing of it is judged any more. */
const build = useBuild()
const { data: ledger } = useCall('GET /api/builds/:id/ledger', () => ({ id: build.view!.id }))
const isSold = computed(() => build.view!.state === 'sold')
const left = computed(
  () =>
    ledger.value?.items.filter(
      ({ goneBecause, isBuiltIn, place }) =>
        goneBecause === 'sold-with-machine' || (!isSold.value && isBuiltIn && place === 'shelf'),
    ) ?? [],
)
const account = computed(() => build.view!.receipt.account)
const soldOn = computed(() => left.value.find(({ leftOn }) => leftOn !== null)?.leftOn ?? null)
</script>

<template>
  <section class="sheet m-6 max-w-[720px] p-4" aria-label="final result">
    <h1>{{ build.view!.name }} {{ isSold ? 'Sold' : 'Parted out' }}</h1>
    <p v-if="isSold" class="mt-1">
      <template v-if="soldOn">On {{ longDate(soldOn) }} for</template><template v-else>For</template>
      <span class="figures">{{ amount(account.sale.amount, account.sale.currency) }}</span> net; it cost
      <span class="figures">{{ amount(account.cost.amount, account.cost.currency) }}</span><template
        v-if="account.profit"
      >
        and made
        <b class="figures" :class="account.profit.amount >= 0 ? 'text-settled' : 'text-stop'">{{
          signedAmount(account.profit.amount, account.profit.currency)
        }}</b></template
      >. Nothing in it is checked any more.
    </p>
    <p v-else class="mt-1">Its parts are on the shelf or moved to the build that started from it.</p>
    <table v-if="left.length > 0" class="ledger mt-3">
      <thead>
        <tr>
          <th>part</th>
          <th>kind</th>
          <th class="!text-right">cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="item in left" :key="item.id">
          <td>{{ item.name }}</td>
          <td class="text-soft">{{ roleNames[item.role] }}</td>
          <td class="amount">{{ amount(item.cost, ledger!.currency) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="mt-3 flex gap-3">
      <NuxtLink :to="`/b/${build.view!.id}/ledger`" class="button">Summary</NuxtLink
      ><NuxtLink to="/flips" class="button">All flips</NuxtLink>
    </p>
  </section>
</template>
