<script setup lang="ts">
import { addDays } from '#core/time/calendarDate'
import type { OfferView } from '#shared/prices/views'
import { amount, monthOf } from '~/utils/show'

/** A shop's price over the days known as a stair, with its usual price and its sale floor. */
const { offer, currency } = defineProps<{ offer: OfferView; currency: string }>()
const rhythm = computed(() => offer.rhythm!)
const width = 470
const height = 110
const low = computed(() => Math.min(...rhythm.value.daily) * 0.97)
const high = computed(() => Math.max(...rhythm.value.daily) * 1.02)
const x = (day: number) => 6 + (day / Math.max(1, rhythm.value.daily.length - 1)) * (width - 76)
const y = (price: number) =>
  8 + (1 - (price - low.value) / Math.max(1, high.value - low.value)) * (height - 28)
const path = computed(
  () =>
    rhythm.value.daily
      .map((price, day) =>
        day === 0
          ? `M${x(0)},${y(price)}`
          : price === rhythm.value.daily[day - 1]
            ? ''
            : `H${x(day)}V${y(price)}`,
      )
      .join('') + `H${x(rhythm.value.daily.length - 1)}`,
)
const last = computed(() => addDays(rhythm.value.firstDay, rhythm.value.daily.length - 1))
const summary = computed(
  () =>
    `${offer.sourceName}: usual ${amount(rhythm.value.usual, currency)}, floor ${amount(rhythm.value.floor, currency)}, ${rhythm.value.sales.length} sales since ${rhythm.value.firstDay}`,
)
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ offer.sourceName }}</b> <span class="text-soft">{{ currency }} before tax and shipping</span>
    </figcaption>
    <svg :viewBox="`0 0 ${width} ${height}`" class="w-full" role="img" :aria-label="summary">
      <line
        x1="6"
        :x2="width - 70"
        :y1="y(rhythm.usual)"
        :y2="y(rhythm.usual)"
        stroke="var(--soft)"
        stroke-dasharray="2 3"
      />
      <text :x="width - 66" :y="y(rhythm.usual) + 4" font-size="11" fill="var(--soft)">
        usual {{ amount(rhythm.usual, currency) }}
      </text>
      <template v-if="rhythm.floor !== null && rhythm.floor < rhythm.usual">
        <line
          x1="6"
          :x2="width - 70"
          :y1="y(rhythm.floor)"
          :y2="y(rhythm.floor)"
          stroke="var(--settled)"
          stroke-dasharray="2 3"
        />
        <text :x="width - 66" :y="y(rhythm.floor) + 4" font-size="11" fill="var(--settled)">
          floor {{ amount(rhythm.floor, currency) }}
        </text>
      </template>
      <path :d="path" fill="none" stroke="var(--series-2)" stroke-width="1.8" />
      <text x="6" :y="height - 3" font-size="11" fill="var(--soft)" class="figures">
        {{ monthOf(rhythm.firstDay) }}
      </text>
      <text
        :x="width - 70"
        :y="height - 3"
        text-anchor="end"
        font-size="11"
        fill="var(--soft)"
        class="figures"
      >
        {{ monthOf(last) }}
      </text>
    </svg>
    <details class="text-xs text-soft">
      <summary>{{ rhythm.sales.length }} sales as a table</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th>from</th>
            <th>to</th>
            <th>lowest</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="sale in [...rhythm.sales].reverse()" :key="sale.from">
            <td class="figures">{{ sale.from }}</td>
            <td class="figures">{{ sale.to }}</td>
            <td class="figures">{{ amount(sale.lowest, currency) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>
