<script setup lang="ts">
import type { PriceFlow } from '#core/pricing/patience/patience'
import { chanceWithin } from '#core/pricing/patience/patience'
import { patienceCurve } from '#core/pricing/patience/patienceCurve'
import { amount, percent } from '~/utils/show'

/** Chance of buying within some days by pay-up-to price. The price is a handle on the curve, the days one under it. */
const { flow, currency, highestDays, step } = defineProps<{
  flow: PriceFlow
  currency: string
  highestDays: number
  step: number
}>()
const limit = defineModel<number>('limit', { required: true })
const days = defineModel<number>('days', { required: true })

const curve = computed(() => patienceCurve(flow, days.value, 40))
const low = computed(() => curve.value[0]?.price ?? 0)
const high = computed(() => Math.max(low.value + 1, curve.value.at(-1)?.price ?? 1))
const points = computed(() => curve.value.map(({ price, chance: y }) => ({ x: price, y })))
const chance = computed(() => chanceWithin(flow, limit.value, days.value))
/** The price under the pointer, on a step people pay in and within the curve. */
function pick(price: number) {
  limit.value = Math.round(Math.min(high.value, Math.max(low.value, price)) / step) * step
}
</script>

<template>
  <figure>
    <figcaption class="font-semibold">
      How long would I wait?
      <span class="font-normal text-soft"
        >chance within {{ days }} days, by maximum price in {{ currency }}</span
      >
    </figcaption>
    <LineFigure
      class="cursor-ew-resize"
      :points="points"
      :summary="`chance of buying within ${days} days: ${percent(chance)} at ${amount(limit, currency)}`"
      :format-x="(price) => amount(Math.round(price), currency)"
      :format-y="(share) => percent(share)"
      :y-min="0"
      :y-max="1"
      :levels="[{ at: chance, label: percent(chance), token: '--ink' }]"
      :moments="[{ at: limit, label: '', token: '--ink' }]"
      @pick="pick"
    />
    <div class="grid grid-cols-[88px_1fr_76px] items-center gap-x-2 text-[13px]">
      <label for="limit-handle">pay up to</label
      ><input
        id="limit-handle"
        v-model.number="limit"
        type="range"
        :min="low"
        :max="high"
        :step="step"
        aria-label="pay up to"
      /><span class="figures text-right">{{ amount(limit, currency) }}</span>
      <label for="days-handle">within days</label
      ><input
        id="days-handle"
        v-model.number="days"
        type="range"
        min="1"
        :max="highestDays"
        step="1"
        aria-label="within days"
      /><span class="figures text-right">{{ days }}</span>
    </div>
    <details class="mt-1 text-xs text-soft">
      <summary>as a table</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th>pay up to</th>
            <th>chance</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="point in curve.filter((_, i) => i % 5 === 0)" :key="point.price">
            <td class="figures">{{ amount(point.price, currency) }}</td>
            <td class="figures">{{ percent(point.chance) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>
