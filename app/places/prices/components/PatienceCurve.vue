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
const x = (price: number) =>
  36 + ((Math.min(high.value, Math.max(low.value, price)) - low.value) / (high.value - low.value)) * 350
const y = (chance: number) => 118 - chance * 100
const path = computed(() =>
  curve.value.map(({ price, chance }, i) => `${i === 0 ? 'M' : 'L'}${x(price)},${y(chance)}`).join(' '),
)
const chance = computed(() => chanceWithin(flow, limit.value, days.value))
const svg = useTemplateRef<SVGSVGElement>('svg')
let dragging = false
function drag(event: PointerEvent) {
  if (!dragging && event.type !== 'pointerdown') return
  dragging = true
  const box = svg.value!.getBoundingClientRect()
  const at = ((event.clientX - box.left) / box.width) * 400
  const price = low.value + ((at - 36) / 350) * (high.value - low.value)
  limit.value = Math.round(Math.min(high.value, Math.max(low.value, price)) / step) * step
}
function drop() {
  dragging = false
}
</script>

<template>
  <figure>
    <figcaption class="font-semibold">
      How long would I wait?
      <span class="font-normal text-soft"
        >chance within {{ days }} days, by pay-up-to price in {{ currency }}</span
      >
    </figcaption>
    <svg
      ref="svg"
      viewBox="0 0 400 138"
      class="w-full cursor-ew-resize touch-none"
      role="img"
      :aria-label="`chance of buying within ${days} days: ${percent(chance)} at ${amount(limit, currency)}`"
      @pointerdown="drag"
      @pointermove="drag"
      @pointerup="drop"
      @pointerleave="drop"
    >
      <g v-for="share in [0, 0.5, 1]" :key="share">
        <line x1="36" x2="386" :y1="y(share)" :y2="y(share)" stroke="var(--line)" />
        <text x="30" :y="y(share) + 4" text-anchor="end" font-size="11" fill="var(--soft)" class="figures">
          {{ share * 100 }}%
        </text>
      </g>
      <path :d="path" fill="none" stroke="var(--info)" stroke-width="2" />
      <line :x1="x(limit)" :x2="x(limit)" :y1="y(1)" :y2="y(0)" stroke="var(--ink)" stroke-dasharray="3 3" />
      <line
        x1="36"
        :x2="x(limit)"
        :y1="y(chance)"
        :y2="y(chance)"
        stroke="var(--ink)"
        stroke-dasharray="3 3"
      />
      <circle :cx="x(limit)" :cy="y(chance)" r="6" fill="var(--ink)" />
      <text x="36" y="134" font-size="11" fill="var(--soft)" class="figures">
        {{ amount(low, currency) }}
      </text>
      <text x="386" y="134" text-anchor="end" font-size="11" fill="var(--soft)" class="figures">
        {{ amount(high, currency) }}
      </text>
    </svg>
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
