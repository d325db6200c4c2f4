<script setup lang="ts">
import type { Receipt } from '#core/ledger/receipt'
import { amount } from '~/utils/show'

/** Paid, still to pay, and where budget and stretch end; one scale. */
const { receipt } = defineProps<{ receipt: Receipt }>()
const paid = computed(() => receipt.account.cashOut.amount)
const payNow = computed(() => receipt.totals.payNow ?? paid.value)
const end = computed(() => Math.max(receipt.stretch, payNow.value, 1) * 1.06)
const share = (value: number) => `${Math.min(100, Math.max(0, (100 * value) / end.value))}%`
const summary = computed(
  () =>
    `${amount(paid.value, receipt.currency)} paid of ` +
    `${amount(receipt.totals.payNow, receipt.currency)} total; budget ` +
    `${amount(receipt.budget, receipt.currency)}, stretch ` +
    `${amount(receipt.stretch, receipt.currency)}`,
)
</script>

<template>
  <div class="relative h-3 w-72 bg-line/50" role="img" :aria-label="summary" :title="summary">
    <div class="absolute inset-y-0 left-0 bg-settled" :style="{ width: share(paid) }" />
    <div class="stripes absolute inset-y-0" :style="{ left: share(paid), width: share(payNow - paid) }" />
    <div class="absolute -inset-y-1 border-l-2 border-ink" :style="{ left: share(receipt.budget) }" />
    <div
      class="absolute -inset-y-1 border-l-2 border-dotted border-ink"
      :style="{ left: share(receipt.stretch) }"
    />
  </div>
</template>

<style scoped>
.stripes {
  background: repeating-linear-gradient(135deg, var(--series-2) 0 4px, transparent 4px 7px);
}
</style>
