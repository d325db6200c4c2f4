<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import type { LeadView } from '#shared/leads/views'
import { call } from '~/data/call'
import { amount, shortDate } from '~/utils/show'

/** From a price agreed at the door to a payment; made for a phone. What comes after stands in the Ledger. */
const { lead } = defineProps<{ lead: LeadView }>()
const build = useBuild()
const { run, busy } = useAction()
const day = computed(() => build.view!.today)
const agreed = ref('')
const until = ref('')
const choice = computed(() => build.view!.choices.find((each) => each.id === lead.choiceId))
const pay = ref('')
watch(
  () => [lead.choiceId, choice.value?.payNow] as const,
  () => {
    pay.value = toDecimal(choice.value?.payNow ?? 0, build.view!.currency)
    agreed.value = toDecimal(lead.agreed?.amount ?? lead.value.order.items[0]!.price, lead.currency)
  },
  { immediate: true },
)
const agree = () =>
  run(
    () => {
      build.named('agreed')
      const body = { day: day.value, amount: agreed.value, until: until.value || null }
      return call('POST /api/leads/:id/agree', { id: lead.id }, body)
    },
    { message: 'price agreed; it is used everywhere now' },
  )
const buy = () =>
  run(
    async () => {
      const { id } = build.view!
      build.named(lead.title)
      await call(
        'POST /api/ledger/choices/:id/pay',
        { id: lead.choiceId! },
        { day: day.value, amount: pay.value },
      )
      // at the door the next thing is whether it works
      await navigateTo(`/b/${id}/ledger`)
    },
    { message: 'paid and booked in the ledger' },
  )
</script>

<template>
  <section class="sheet border-l-4 border-info p-3" aria-label="purchase">
    <h2>Purchase</h2>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <span v-if="lead.agreed" class="tag tag-settled"
        >agreed {{ amount(lead.agreed.amount, lead.currency) }} {{ lead.currency
        }}<template v-if="lead.agreed.until">, valid until {{ shortDate(lead.agreed.until) }}</template></span
      >
      <input v-model="agreed" class="field figures w-24" inputmode="decimal" aria-label="amount agreed" />
      <label>until <DateField v-model="until" label="agreed until" /></label>
      <button type="button" class="button" :disabled="busy" @click="agree">Agree price</button>
    </div>
    <div v-if="lead.choiceId" class="mt-2 flex flex-wrap items-center gap-2 border-t border-line pt-2">
      <input v-model="pay" class="field figures w-24" inputmode="decimal" aria-label="amount paid" />
      <button type="button" class="button button-main" :disabled="busy" @click="buy">Paid</button>
      <NuxtLink :to="`/b/${build.view!.id}/ledger`" class="underline decoration-dotted"
        >see the whole order in the Ledger</NuxtLink
      >
    </div>
  </section>
</template>
