<script setup lang="ts">
import {
  chanceWithin,
  expectedWait,
  payUpToPrice,
  shareAtOrBelow,
  type PriceFlow,
} from '#core/pricing/patience/patience'
import { priceQueryDefaults } from '#core/reading/titles/priceQuery'
import { minorPerUnit } from '#core/money/currencies'
import type { PriceView } from '#shared/prices/views'
import { chanceWorking, laterWorking, wishWorking } from '~/workings/priceWorkings'
import { call } from '~/data/call'
import { amount, percent, signedAmount } from '~/utils/show'

/** How long to wait: the curve with its two handles, the three questions, buy now or wait, hunt and lookout. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{
  hunt: [price: number]
  lookout: [price: number]
  catchShare: [share: number]
}>()
const { run } = useAction()
const limit = ref(view.lookout?.limit ?? view.marks?.typical ?? 0)
const days = ref(view.patienceDays)
const wished = ref(0.8)
const catchShare = ref(view.query.catchShare ?? priceQueryDefaults.catchShare)
watch(
  () => view.query.catchShare,
  (share) => (catchShare.value = share ?? priceQueryDefaults.catchShare),
)
const flow = computed<PriceFlow>(() => {
  const comps = view.records
    .filter((record) => record.unitPrice !== null)
    .sort((a, b) => a.unitPrice! - b.unitPrice!)
  return {
    prices: comps.map((record) => record.unitPrice!),
    weights: comps.map((record) => record.weight!),
    perDay: view.perDay,
    catchShare: catchShare.value,
  }
})
/** Half a unit of the currency at a time. */
const step = computed(() => Math.max(1, minorPerUnit(view.currency) / 2))
const chance = computed(() => chanceWithin(flow.value, limit.value, days.value))
const wait = computed(() => expectedWait(flow.value, limit.value))
const wish = computed(() => ({
  probability: wished.value,
  days: days.value,
  price: payUpToPrice(flow.value, wished.value, days.value),
}))
const adviceTone = { buy: 'tag-settled', wait: 'tag-waiting', level: 'tag-info' } as const
const adviceWord = { buy: 'buy now', wait: 'wait', level: 'either way' } as const
const endLookout = () =>
  run(() => call('DELETE /api/prices/lookouts/:id', { id: view.lookout!.id }), { message: 'watch ended' })
</script>

<template>
  <div class="grid grid-cols-[400px_minmax(0,1fr)] gap-3 @max-3xl:grid-cols-[minmax(0,1fr)]">
    <div class="sheet p-3">
      <PatienceCurve
        v-if="view.patience.length > 0"
        v-model:limit="limit"
        v-model:days="days"
        :flow="flow"
        :currency="view.currency"
        :highest-days="Math.max(90, view.patienceDays)"
        :step="step"
      />
      <p v-else class="text-soft">No comps yet, so the wait cannot be estimated.</p>
    </div>
    <div class="flex flex-col gap-3">
      <div v-if="view.patience.length > 0" class="sheet p-3">
        <p>
          <span class="text-soft">How likely?</span>
          <TheFigure
            strong
            data-figure="chance"
            :text="percent(chance)"
            :working="
              () =>
                chanceWorking(view, { limit, days, chance, share: shareAtOrBelow(flow, limit), catchShare })
            "
          />
          at or below <b class="figures">{{ amount(limit, view.currency) }}</b> within
          <b class="figures">{{ days }}</b> days.
        </p>
        <p class="mt-1">
          <span class="text-soft">How long?</span>
          <template v-if="wait === null">No sale seen that cheap.</template
          ><template v-else
            >On average <b class="figures">{{ Math.ceil(wait) }}</b> days at that limit.</template
          >
        </p>
        <p class="mt-1">
          <span class="text-soft">What limit?</span> For
          <select v-model.number="wished" class="field !min-h-0 !py-0" aria-label="chance">
            <option v-for="q in [0.5, 0.8, 0.9]" :key="q" :value="q">{{ percent(q) }}</option>
          </select>
          in {{ days }} days: <template v-if="wish.price === null">not likely at any price seen.</template
          ><template v-else
            >pay up to
            <TheFigure
              strong
              :text="amount(wish.price, view.currency)"
              :working="() => wishWorking(view, wish, catchShare)"
            />.</template
          >
        </p>
        <label
          class="mt-2 flex items-center gap-2 text-soft"
          title="share of matching sales you hear of in time, can reach and win"
          >you can get
          <input
            v-model.number="catchShare"
            type="range"
            min="0.05"
            max="1"
            step="0.05"
            class="w-28"
            aria-label="share of matching sales you can get"
            @change="emit('catchShare', catchShare)"
          /><span class="figures w-11 text-ink">{{ percent(catchShare) }}</span> of matching sales</label
        >
        <div class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="button button-main" @click="emit('hunt', limit)">
            Hunt at {{ amount(limit, view.currency) }}</button
          ><button type="button" class="button" @click="emit('lookout', limit)">
            Watch at {{ amount(limit, view.currency) }}</button
          ><span v-if="view.lookout" class="tag tag-info self-center"
            >watching at {{ amount(view.lookout.limit, view.currency) }}
            <button type="button" aria-label="end the watch" @click="endLookout">×</button></span
          >
        </div>
      </div>
      <div class="sheet p-3">
        <h2>Buy now or wait?</h2>
        <template
          v-for="[name, later] in [
            ['used', view.usedLater],
            ['new', view.newLater],
          ] as const"
          :key="name"
        >
          <p v-if="later" class="mt-1">
            {{ name }}:
            <span class="tag" :class="adviceTone[later.advice]">{{ adviceWord[later.advice] }}</span>
            <TheFigure :text="amount(later.later, view.currency)" :working="() => laterWorking(view, name)" />
            expected price within {{ later.days }} days<template v-if="later.saving !== 0"
              >, {{ signedAmount(-later.saving, view.currency) }}</template
            ><span class="text-soft"
              ><template v-for="reason in later.reasons" :key="reason.what"> · {{ reason.what }}</template
              ><template v-if="later.reasons.length === 0"> · no change expected</template></span
            >
          </p>
        </template>
        <p v-if="!view.usedLater && !view.newLater" class="text-soft">
          Neither a street price nor a shop price is known.
        </p>
      </div>
    </div>
  </div>
</template>
