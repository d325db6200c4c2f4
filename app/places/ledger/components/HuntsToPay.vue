<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'

/** Hunts that may come in any day: what was paid for the thing is noted here. */
const { hunts } = defineProps<{ hunts: LedgerView['hunts'] }>()
const build = useBuild()
const { step, busy } = useLedgerStep()
const typed = reactive<Record<string, string>>({})
watchEffect(() => {
  for (const { choiceId, limit } of hunts)
    typed[choiceId] ??= limit === null ? '' : amountTyped(limit, build.view!.currency)
})
const pay = (choiceId: string, label: string) =>
  step(
    'POST /api/ledger/choices/:id/pay',
    { id: choiceId },
    { day: build.view!.today, amount: typed[choiceId]! },
    `${label} paid and booked in the ledger`,
    label,
  )
</script>

<template>
  <section class="sheet p-3" aria-label="hunts">
    <h2>Hunts <span class="font-normal text-soft">bought one? enter what you paid</span></h2>
    <div v-for="hunt in hunts" :key="hunt.choiceId" class="mt-1 flex items-center gap-2">
      <span class="flex-1">{{ hunt.label }}</span>
      <input
        v-model="typed[hunt.choiceId]"
        class="field figures w-24"
        inputmode="decimal"
        :aria-label="`paid for ${hunt.label}`"
      /><button
        type="button"
        class="button"
        :disabled="busy || !typed[hunt.choiceId]"
        @click="pay(hunt.choiceId, hunt.label)"
      >
        Paid
      </button>
    </div>
  </section>
</template>
