<script setup lang="ts">
import { chanceWithin, expectedWait, shareAtOrBelow } from '#core/market/patience'
import { inUnits } from '#core/money/formatAmount'
import { priceQueryDefaults } from '#core/market/priceQuery'
import type { PriceView } from '#shared/views'
import { chanceWorking, mannerWorking, trendWorking, wishWorking } from '~/workings/priceWorkings'
import { amount, percent, signedPercent } from '~/utils/show'
import { reasonCounts, reasonNames } from './triage'

/** Read: the picture, how it moves, how long a wait. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ hunt: [price: number] }>()
const left = computed(() => reasonCounts(view.records).slice(0, 5))
const limit = ref(0)
watch(() => view.partId, () => (limit.value = view.marks?.typical ?? 0), { immediate: true })
const flow = computed(() => {
  const comps = view.records.filter((record) => record.unitPrice !== null).sort((a, b) => a.unitPrice! - b.unitPrice!)
  return { prices: comps.map((record) => record.unitPrice!), weights: comps.map((record) => record.weight!), perDay: view.perDay, catchShare: view.query.catchShare ?? priceQueryDefaults.catchShare }
})
const chance = computed(() => chanceWithin(flow.value, limit.value, view.patienceDays))
const wait = computed(() => expectedWait(flow.value, limit.value))
const path = computed(() => {
  if (view.patience.length === 0) return ''
  const [low, high] = [view.patience[0]!.price, view.patience.at(-1)!.price]
  return view.patience.map(({ price, chance: share }, i) => `${i === 0 ? 'M' : 'L'}${x(price, low, high)},${130 - share * 110}`).join(' ')
})
const x = (price: number, low: number, high: number) => 36 + ((price - low) / Math.max(1, high - low)) * 350
/** Half a unit of the currency at a time. */
const step = computed(() => Math.max(1, Math.round(0.5 / inUnits(1, view.currency))))
const bounds = computed(() => [view.patience[0]?.price ?? 0, view.patience.at(-1)?.price ?? 1] as const)
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[1fr_230px] gap-3 overflow-y-auto max-lg:grid-cols-1">
    <div class="sheet p-3"><DotsChart :view="view" :height="216" /></div>
    <div class="sheet p-3">
      <h2>Moves</h2>
      <p v-if="view.trend"><b :class="view.trend.direction === 'unclear' ? 'text-soft' : 'text-settled'">{{ view.trend.direction === 'unclear' ? 'no clear direction' : view.trend.direction }}</b> <TheFigure :text="signedPercent(view.trend.percentPer30Days)" :working="() => trendWorking(view)" /> a month<br><span class="text-soft">between {{ signedPercent(view.trend.low) }} and {{ signedPercent(view.trend.high) }}</span></p>
      <p v-else class="text-soft">too few records</p>
      <h2 class="mt-3">Manner</h2>
      <p v-for="each in view.byManner" :key="each.manner" class="flex justify-between"><span>{{ each.manner }} <span class="text-soft">{{ each.count }}</span></span><TheFigure :text="amount(each.typical, view.currency)" :working="() => mannerWorking(view, each.manner)" /></p>
      <p v-if="view.byManner.length === 0" class="text-soft">none with three comps</p>
      <h2 class="mt-3">Left out</h2>
      <p v-for="each in left" :key="each.reason" class="flex justify-between text-soft"><span>{{ reasonNames[each.reason] }}</span><span class="figures">{{ each.count }}</span></p>
    </div>
    <div class="sheet col-span-full grid grid-cols-[420px_1fr] gap-6 p-3 max-lg:grid-cols-1">
      <figure>
        <figcaption class="font-semibold">How long would I wait? <span class="font-normal text-soft">chance within {{ view.patienceDays }} days by pay-up-to price</span></figcaption>
        <svg v-if="view.patience.length > 0" viewBox="0 0 400 150" class="w-full" role="img" :aria-label="`chance of buying within ${view.patienceDays} days: ${percent(chance)} at ${amount(limit, view.currency)}`">
          <g v-for="share in [0, 0.5, 1]" :key="share"><line x1="36" x2="386" :y1="130 - share * 110" :y2="130 - share * 110" stroke="var(--line)" /><text x="30" :y="134 - share * 110" text-anchor="end" font-size="11" fill="var(--soft)" class="figures">{{ share * 100 }}%</text></g>
          <path :d="path" fill="none" stroke="var(--info)" stroke-width="2" />
          <line :x1="x(limit, ...bounds)" :x2="x(limit, ...bounds)" y1="20" y2="130" stroke="var(--ink)" stroke-dasharray="3 3" /><circle :cx="x(limit, ...bounds)" :cy="130 - chance * 110" r="5" fill="var(--ink)" />
          <text x="36" y="147" font-size="11" fill="var(--soft)" class="figures">{{ amount(bounds[0], view.currency) }}</text><text x="386" y="147" text-anchor="end" font-size="11" fill="var(--soft)" class="figures">{{ amount(bounds[1], view.currency) }}</text>
        </svg>
        <p v-else class="text-soft">Without comps nobody can say.</p>
      </figure>
      <div v-if="view.patience.length > 0" class="self-center">
        <label class="block">pay up to <b class="figures">{{ amount(limit, view.currency) }}</b><input v-model.number="limit" type="range" class="mt-1 block w-full max-w-80" :min="bounds[0]" :max="bounds[1]" :step="step" aria-label="pay up to"></label>
        <p class="mt-2">The chance is <TheFigure strong :text="percent(chance)" :working="() => chanceWorking(view, { limit, chance, share: shareAtOrBelow(flow, limit), catchShare: flow.catchShare })" /> within <b class="figures">{{ view.patienceDays }}</b> days<template v-if="wait !== null">; on average it takes <b class="figures">{{ Math.ceil(wait) }}</b></template>, if you get to {{ percent(flow.catchShare) }} of the suitable sales.</p>
        <p v-for="wish in view.wishes" :key="wish.probability" class="text-soft">For {{ percent(wish.probability) }}: <template v-if="wish.price === null">not likely at any price seen</template><template v-else>pay up to <TheFigure :text="amount(wish.price, view.currency)" :working="() => wishWorking(view, wish)" /></template>.</p>
        <button type="button" class="button mt-2" @click="emit('hunt', limit)">Hunt at {{ amount(limit, view.currency) }}</button>
      </div>
    </div>
  </div>
</template>
