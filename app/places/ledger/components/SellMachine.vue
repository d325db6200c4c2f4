<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import type { SentBody } from '#shared/calls'

/** What the machine would fetch, whole or in parts, and the end of it: it stands, is sold, comes back, is taken apart. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const { step, busy } = useLedgerStep()
const sale = ref({
  day: build.view!.today,
  price: amountTyped((ledger.resale.machines ?? ledger.resale.whole).gross, ledger.currency),
  fee: '0',
  postage: '0',
  hours: 0,
})
const back = ref('')
const action = <const End extends 'sell' | 'stand' | 'take-apart' | 'take-back'>(
  end: End,
  body: SentBody<`POST /api/builds/:id/ledger/${End}`>,
  message: string,
) => step(`POST /api/builds/:id/ledger/${end}`, { id: build.view!.id } as never, body, message)
const unpaid = computed(() =>
  build.view!.choices.filter((choice) => choice.kind !== 'item' && choice.voidBecause === null),
)
</script>

<template>
  <div class="flex flex-col gap-4">
    <template v-if="ledger.state !== 'sold'">
      <WhatItFetches :ledger="ledger" />
      <AskByWeek :ledger="ledger" />
      <MachinesLikeIt :ledger="ledger" />
    </template>
    <ListingToOffer v-if="ledger.state !== 'sold'" />
    <section class="sheet p-3" aria-label="sell the machine">
      <h2>
        {{
          {
            planned: 'Planned',
            standing: 'Assembled',
            sold: 'Sold',
            apart: 'Parted out',
          }[ledger.state]
        }}
      </h2>
      <template v-if="ledger.state === 'planned' || ledger.state === 'standing'">
        <form
          class="mt-2 flex flex-wrap items-end gap-2"
          @submit.prevent="action('sell', sale, 'the machine is sold')"
        >
          <SaleFields v-model="sale" what="machine" />
          <label
            >hours
            <input
              v-model.number="sale.hours"
              type="number"
              min="0"
              step="0.5"
              class="field figures w-20"
              aria-label="hours spent" /></label
          ><label>on <DateField v-model="sale.day" label="date of sale" /></label>
          <button type="submit" class="button button-main" :disabled="busy">Sell machine</button>
        </form>
        <p v-if="unpaid.length > 0" class="mt-1 text-waiting">
          {{ unpaid.length === 1 ? 'One choice is' : `${unpaid.length} choices are` }} not paid:
          {{ unpaid.map((choice) => choice.label).join(', ') }}. Selling removes
          {{ unpaid.length === 1 ? 'it' : 'them' }}.
        </p>
        <div class="mt-3 flex gap-2">
          <button
            v-if="ledger.state === 'planned'"
            type="button"
            class="button"
            @click="action('stand', { day: sale.day }, 'assembled')"
          >
            It is assembled and runs</button
          ><button
            type="button"
            class="button"
            @click="action('take-apart', { day: sale.day }, 'parted out')"
          >
            Part it out
          </button>
        </div>
        <BeginUpgrade :ledger="ledger" />
      </template>
      <form
        v-else-if="ledger.state === 'sold'"
        class="mt-2 flex flex-wrap items-end gap-2"
        @submit.prevent="action('take-back', { day: sale.day, amount: back }, 'returned by the buyer')"
      >
        <label
          >refunded to the buyer
          <input
            v-model="back"
            class="field figures w-28"
            inputmode="decimal"
            aria-label="refunded to the buyer" /></label
        ><label>on <DateField v-model="sale.day" label="date of return" /></label>
        <button type="submit" class="button">Buyer returned it</button>
      </form>
      <p v-else class="mt-1 text-soft">Its parts are on the shelf.</p>
    </section>
  </div>
</template>
