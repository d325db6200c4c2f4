<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { toDecimal } from '#core/money/decimal'
import { arrivalVerdicts, type ArrivalVerdict } from '#core/ledger/arrival'
import type { BuildView } from '#shared/builds/views'
import type { LibraryView } from '#shared/parts/views'
import type { PurchaseView } from '#shared/ledger/views'
import { request } from '~/utils/request'
import { amount, shortDate } from '~/utils/show'

/** From a choice to a payment, an arrival, sometimes a return; and the rebate behind it. Made for a phone at a seller's door. */
const { choiceId } = defineProps<{ choiceId: string }>()
const emit = defineEmits<{ changed: [] }>()
const build = useBuild()
const { run } = useAction()
const purchase = ref<PurchaseView | null>(null)
const library = ref<LibraryView | null>(null)
const choice = computed(() => build.view!.choices.find((each) => each.id === choiceId))
const today = computed(() => build.view!.today)
const currency = computed(() => build.view!.currency)
const pay = ref('')
/** What is ticked at the door outlives a reload. */
const blank = () => ({
  verdict: 'as-described' as ArrivalVerdict,
  foundPartId: '',
  checks: [] as string[],
  note: '',
  returnBy: '',
})
const arrival = useLocalStorage(`tarvin-arrival-${choiceId}`, blank())
const refund = ref('')
const load = async () =>
  (purchase.value = await request<PurchaseView>(`/api/ledger/choices/${choiceId}/purchase`))
watch(
  () => choiceId,
  () =>
    run(async () => {
      await load()
      pay.value = toDecimal(choice.value?.payNow ?? 0, currency.value)
      arrival.value.returnBy ||= purchase.value!.returnBy ?? ''
      refund.value = toDecimal(purchase.value!.paid, currency.value)
    }),
  { immediate: true },
)
onMounted(async () => (library.value = await request<LibraryView>('/api/library')))
const found = computed(() =>
  (library.value?.parts ?? []).filter((part) => choice.value?.roles.includes(part.role)),
)
async function step(path: string, body: object, message: string) {
  await run(
    async () => {
      build.take(
        await request<BuildView>(`/api/ledger/choices/${choiceId}/${path}`, { method: 'POST', body }),
        message,
      )
      if (build.view!.choices.some((each) => each.id === choiceId)) await load()
      refund.value = toDecimal(purchase.value?.paid ?? 0, currency.value)
      emit('changed')
    },
    { message },
  )
}
const buy = () => step('pay', { day: today.value, amount: pay.value }, 'paid, and in the ledger')
async function arrive() {
  const { foundPartId, returnBy, ...noted } = arrival.value
  await step(
    'arrival',
    { ...noted, day: today.value, foundPartId: foundPartId || null, returnBy: returnBy || null },
    'arrival noted',
  )
  if (purchase.value?.arrival) arrival.value = blank()
}
const sendBack = (state: 'to-send' | 'sent' | 'refunded') =>
  step(
    'return',
    { day: today.value, state, amount: state === 'refunded' ? refund.value : null },
    state === 'refunded' ? 'refunded, and removed of the build' : 'return noted',
  )
const claim = (id: string, state: string) =>
  run(
    async () => {
      await request(`/api/ledger/rebates/${id}`, { method: 'PATCH', body: { state, day: today.value } })
      await build.load(build.view!.id)
      await load()
      emit('changed')
    },
    { message: state === 'paid' ? 'rebate paid, and in the ledger' : 'noted' },
  )
const verdictNames: Readonly<Record<ArrivalVerdict, string>> = {
  'as-described': 'as described',
  better: 'better',
  worse: 'worse',
  faulty: 'faulty',
}
</script>

<template>
  <section class="sheet p-3" aria-label="purchase">
    <h2>Purchase</h2>
    <template v-if="purchase && choice">
      <form
        v-if="purchase.paidOn === null"
        class="mt-1 flex flex-wrap items-center gap-2"
        @submit.prevent="buy"
      >
        <label
          >total paid
          <input v-model="pay" class="field figures w-24" inputmode="decimal" aria-label="amount paid" />
          {{ currency }}</label
        ><button type="submit" class="button button-main">Buy it</button>
      </form>
      <p v-else>
        Paid <b class="figures" data-figure="paid">{{ amount(purchase.paid, currency) }}</b> on
        {{ shortDate(purchase.paidOn) }}.
      </p>
      <template v-if="purchase.paidOn !== null">
        <div v-if="purchase.arrival" class="mt-2 border-t border-line pt-2">
          <p>
            Arrived {{ shortDate(purchase.arrival.day) }}:
            <span
              class="tag"
              :class="
                purchase.arrival.verdict === 'faulty'
                  ? 'tag-stop'
                  : purchase.arrival.verdict === 'worse'
                    ? 'tag-waiting'
                    : 'tag-settled'
              "
              >{{ verdictNames[purchase.arrival.verdict] }}</span><template v-if="purchase.arrival.foundName"
              >, it is a <b>{{ purchase.arrival.foundName }}</b></template
            >
          </p>
          <p v-if="purchase.arrival.note" class="text-soft">{{ purchase.arrival.note }}</p>
          <p v-if="purchase.arrival.checks.length > 0" class="text-xs text-soft">
            ✓ {{ purchase.arrival.checks.join(' ✓ ') }}
          </p>
          <p v-if="purchase.arrival.returnBy" class="text-soft">
            may go back until {{ shortDate(purchase.arrival.returnBy) }}
          </p>
          <div
            v-if="purchase.arrival.returnState !== 'refunded'"
            class="mt-1 flex flex-wrap items-center gap-2"
          >
            <button
              v-if="purchase.arrival.returnState !== 'sent'"
              type="button"
              class="button"
              @click="sendBack('sent')"
            >
              Sent back
            </button>
            <template v-else><span class="tag tag-waiting">on its way back</span></template>
            <input
              v-model="refund"
              class="field figures w-24"
              inputmode="decimal"
              aria-label="amount refunded"
            /><button type="button" class="button" @click="sendBack('refunded')">Refunded</button>
          </div>
        </div>
        <form v-else class="mt-2 border-t border-line pt-2" @submit.prevent="arrive">
          <label v-for="check in purchase.checklist" :key="check" class="flex gap-2 py-0.5"
            ><input v-model="arrival.checks" type="checkbox" :value="check" />{{ check }}</label
          >
          <div class="mt-2 flex flex-wrap items-center gap-2">
            <select v-model="arrival.verdict" class="field" aria-label="verdict">
              <option v-for="each in arrivalVerdicts" :key="each" :value="each">
                {{ verdictNames[each] }}
              </option>
            </select>
            <select v-model="arrival.foundPartId" class="field max-w-56" aria-label="found to be">
              <option value="">it is what was listed</option>
              <option v-for="part in found" :key="part.id" :value="part.id">it is a {{ part.name }}</option>
            </select>
            <label>back until <DateField v-model="arrival.returnBy" label="may go back until" /></label>
            <input
              v-model="arrival.note"
              class="field w-full"
              placeholder="what was found"
              aria-label="what was found"
            /><PhotoInput
              v-if="choice.leadId"
              :lead-id="choice.leadId"
              arrival
              @added="emit('changed')"
            /><button type="submit" class="button button-main">It arrived</button>
          </div>
        </form>
      </template>
      <div
        v-for="each in purchase.rebates"
        :key="each.id"
        class="mt-2 flex flex-wrap items-center gap-2 border-t border-line pt-2"
      >
        <span
          >{{ each.kind }} rebate <b class="figures">{{ amount(each.amount, each.currency) }}</b><template
            v-if="each.currency !== currency"
          >
            {{ each.currency }}</template
          >, claim by {{ shortDate(each.claimBy) }}</span
        ><span
          class="tag"
          :class="
            each.state === 'paid'
              ? 'tag-settled'
              : each.state === 'refused' || each.state === 'missed'
                ? 'tag-stop'
                : 'tag-waiting'
          "
          >{{ each.state === 'to-claim' ? 'to claim' : each.state }}</span
        >
        <button
          v-if="each.state === 'to-claim'"
          type="button"
          class="button"
          @click="claim(each.id, 'claimed')"
        >
          Claimed</button
        ><button v-if="each.state === 'claimed'" type="button" class="button" @click="claim(each.id, 'paid')">
          It was paid</button
        ><button
          v-if="each.state === 'claimed'"
          type="button"
          class="quiet-button"
          @click="claim(each.id, 'refused')"
        >
          refused
        </button>
      </div>
    </template>
  </section>
</template>
