<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { askLadderWorking } from '~/workings/ledgerWorkings'
import { amount, percent } from '~/utils/show'

/** What to ask for the machine week by week before it is parted out, and the least to take. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const money = (value: number) => amount(value, ledger.currency)
</script>

<template>
  <section v-if="ledger.selling.ladder.length > 0" class="sheet p-3" aria-label="asking price week by week">
    <h2>Week by week</h2>
    <p class="text-soft">
      What to ask for the whole PC, allowing for later weeks;
      <TheFigure text="how" :working="() => askLadderWorking(ledger)" />.
    </p>
    <table class="figures mt-1 w-full text-sm">
      <thead>
        <tr class="text-left text-xs text-soft">
          <th class="font-normal">week</th>
          <th class="text-right font-normal">ask</th>
          <th class="text-right font-normal">sells at</th>
          <th class="text-right font-normal">chance this week</th>
          <th class="text-right font-normal">accept at least</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in ledger.selling.ladder" :key="each.week" class="border-t border-line">
          <td>{{ each.week }}</td>
          <td class="text-right font-semibold">{{ money(each.ask) }}</td>
          <td class="text-right">{{ money(each.price) }}</td>
          <td class="text-right">{{ percent(each.chance) }}</td>
          <td class="text-right">{{ money(each.least) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="mt-1 text-soft">
      After that, part it out for {{ money(ledger.resale.parting.net) }} net in total.
    </p>
  </section>
</template>
